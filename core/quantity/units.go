package quantity

import "math"

// Exact definitions the customary units rest on.
const (
	inch        = 0.0254                  // m, exact
	foot        = 12 * inch               // m
	pound       = 0.45359237              // kg, exact
	ounce       = pound / 16              // kg
	StdGravity  = 9.80665                 // m/s², exact (standard gravity)
	poundForce  = pound * StdGravity      // N
	ounceForce  = ounce * StdGravity      // N
	Horsepower  = 550 * foot * poundForce // W: mechanical horsepower, 550 ft·lbf/s
	metricHorse = 75 * StdGravity         // W: 75 kgf·m/s
	RPM         = 2 * math.Pi / 60        // rad/s in one turn a minute
	backPerKRPM = 1 / (1000 * RPM)        // V·s in one volt per thousand rpm
	degree      = math.Pi / 180           // rad
	feetPerMin  = foot / 60               // m/s
	poundFoot   = poundForce * foot       // N·m
	poundInch   = poundForce * inch       // N·m
	ounceInch   = ounceForce * inch       // N·m
	kiloForceCm = StdGravity / 100        // N·m

	celsiusZero    = 273.15              // K, exact
	fahrenheit     = 5. / 9              // K
	fahrenheitZero = 459.67 * fahrenheit // K, exact
)

// unit is one spelling of a unit after [normalise] has taken out spaces and joining marks.
type unit struct {
	key    string
	factor float64 // SI per unit
}

// unitTable lists the spellings read for each dimension. The first of each is what a bare
// number means.
var unitTable = [...][]unit{
	Number: {{"", 1}, {"%", 0.01}, {"percent", 0.01}, {":1", 1}, {"to1", 1}, {"×", 1}, {"x", 1}},
	Speed: {{"rpm", RPM}, {"r/min", RPM}, {"rev/min", RPM}, {"1/min", RPM}, {"min⁻¹", RPM}, {"turns/min", RPM},
		{"strokes/min", RPM}, {"spm", RPM}, {"rad/s", 1}, {"rps", 60 * RPM}, {"rev/s", 60 * RPM}, {"r/s", 60 * RPM},
		{"turns/s", 60 * RPM}},
	Torque: {{"nm", 1}, {"ncm", 0.01}, {"nmm", 0.001}, {"mnm", 0.001}, {"knm", 1000},
		{"kgfm", StdGravity}, {"kgm", StdGravity}, {"kgfcm", kiloForceCm}, {"kgcm", kiloForceCm},
		{"lbfft", poundFoot}, {"lbft", poundFoot}, {"ftlb", poundFoot}, {"ftlbf", poundFoot}, {"footpounds", poundFoot},
		{"ftlbs", poundFoot}, {"lbsft", poundFoot},
		{"lbfin", poundInch}, {"lbin", poundInch}, {"inlb", poundInch}, {"inlbf", poundInch}, {"inchpounds", poundInch},
		{"inlbs", poundInch}, {"lbsin", poundInch},
		{"ozin", ounceInch}, {"inoz", ounceInch}, {"ozfin", ounceInch}},
	Power: {{"w", 1}, {"watt", 1}, {"watts", 1}, {"kw", 1000}, {"hp", Horsepower}, {"bhp", Horsepower},
		{"ps", metricHorse}, {"cv", metricHorse}},
	Voltage: {{"v", 1}, {"vdc", 1}, {"vac", 1}, {"volt", 1}, {"volts", 1}, {"mv", 1e-3}, {"kv", 1e3}},
	Current: {{"a", 1}, {"amp", 1}, {"amps", 1}, {"ma", 1e-3}},
	Resistance: {{"ω", 1}, {"ohm", 1}, {"ohms", 1}, {"r", 1}, {"mω", 1e-3}, {"mohm", 1e-3}, {"mohms", 1e-3},
		{"kω", 1e3}, {"kohm", 1e3}, {"kohms", 1e3}, {"k", 1e3}, {"megω", 1e6}, {"megohm", 1e6}, {"megohms", 1e6},
		{"meg", 1e6}},
	Frequency: {{"hz", 1}, {"khz", 1e3}, {"c/s", 1}},
	Length: {{"mm", 1e-3}, {"cm", 1e-2}, {"m", 1}, {"in", inch}, {`"`, inch}, {"inch", inch}, {"inches", inch},
		{"ft", foot}, {"'", foot}, {"feet", foot}},
	Mass: {{"kg", 1}, {"g", 1e-3}, {"lb", pound}, {"lbs", pound}, {"oz", ounce}, {"t", 1000}},
	Force: {{"n", 1}, {"kn", 1e3}, {"lbf", poundForce}, {"lb", poundForce}, {"lbs", poundForce}, {"oz", ounceForce},
		{"ozf", ounceForce}, {"kg", StdGravity}, {"kgf", StdGravity}, {"g", StdGravity / 1000},
		{"gf", StdGravity / 1000}},
	Duration: {{"s", 1}, {"sec", 1}, {"seconds", 1}, {"ms", 1e-3}, {"min", 60}, {"mins", 60}, {"minutes", 60},
		{"minute", 60}, {"h", 3600}, {"hr", 3600}, {"hours", 3600}, {"hour", 3600}},
	Angle: {{"°", degree}, {"deg", degree}, {"degrees", degree}, {"rad", 1}},
	SurfaceSpeed: {{"m/min", 1. / 60}, {"m/s", 1}, {"ft/min", feetPerMin}, {"fpm", feetPerMin}, {"sfpm", feetPerMin},
		{"sfm", feetPerMin}, {"mm/s", 1e-3}, {"ft/s", foot}, {"mm/min", 1e-3 / 60}, {"in/min", inch / 60},
		{"ipm", inch / 60}},
	BackEMF: {{"vs", 1}, {"vs/rad", 1}, {"v/(rad/s)", 1}, {"nm/a", 1}, {"v/krpm", backPerKRPM},
		{"v/1000rpm", backPerKRPM}},
	Inertia: {{"kgm²", 1}, {"kgm2", 1}, {"gcm²", 1e-7}, {"gcm2", 1e-7}, {"kgcm²", 1e-4}, {"kgcm2", 1e-4},
		{"lbft²", pound * foot * foot},
		{"lbft2", pound * foot * foot},
		{"lbin²", pound * inch * inch}, {"lbin2", pound * inch * inch}},
	Pressure: {{"n/mm²", 1e6}, {"n/mm2", 1e6}, {"mpa", 1e6}, {"pa", 1}, {"gpa", 1e9},
		{"psi", poundForce / (inch * inch)}, {"lbf/in²", poundForce / (inch * inch)}},
	Density: {{"kg/m³", 1}, {"kg/m3", 1}, {"g/cm³", 1000}, {"g/cm3", 1000}, {"kg/l", 1000},
		{"lb/in³", pound / (inch * inch * inch)}, {"lb/in3", pound / (inch * inch * inch)}},
	Capacitance: {{"µf", 1e-6}, {"μf", 1e-6}, {"uf", 1e-6}, {"mfd", 1e-6}, {"nf", 1e-9}, {"f", 1}},
	Inductance:  {{"mh", 1e-3}, {"µh", 1e-6}, {"μh", 1e-6}, {"uh", 1e-6}, {"h", 1}},
	Energy:      {{"wh", 3600}, {"kwh", 3.6e6}, {"j", 1}, {"kj", 1e3}},
	Temperature: {{"°c", 1}, {"c", 1}, {"degc", 1}, {"°f", fahrenheit}, {"f", fahrenheit}, {"degf", fahrenheit},
		{"k", 1}},
	Rise:  {{"k", 1}, {"°c", 1}, {"c", 1}, {"°f", fahrenheit}, {"f", fahrenheit}},
	Sound: {{"db", 1}, {"dba", 1}, {"db(a)", 1}},
	Insulation: {{"mω", 1e6}, {"megω", 1e6}, {"megohm", 1e6}, {"megohms", 1e6}, {"meg", 1e6}, {"m", 1e6},
		{"mohm", 1e6}, {"mohms", 1e6}, {"kω", 1e3}, {"kohm", 1e3}, {"kohms", 1e3}, {"k", 1e3}, {"gω", 1e9},
		{"gohm", 1e9}, {"gohms", 1e9}, {"g", 1e9}, {"ohm", 1}, {"ohms", 1}, {"ω", 1}},
}

// scaleZero is the zero of a scale of temperature, K, by the unit's spelling after [normalise].
var scaleZero = map[string]float64{"°c": celsiusZero, "c": celsiusZero, "degc": celsiusZero, "°f": fahrenheitZero,
	"f": fahrenheitZero, "degf": fahrenheitZero}

// shownUnit is the unit a value is shown in: the label and its SI factor.
type shownUnit struct {
	label  string
	factor float64
}

// showTable gives the unit shown for each dimension, metric then inch.
var showTable = [...][2]shownUnit{
	Number:       {{"", 1}, {"", 1}},
	Speed:        {{"rpm", RPM}, {"rpm", RPM}},
	Torque:       {{"N·m", 1}, {"lbf·ft", poundFoot}},
	Power:        {{"W", 1}, {"hp", Horsepower}},
	Voltage:      {{"V", 1}, {"V", 1}},
	Current:      {{"A", 1}, {"A", 1}},
	Resistance:   {{"Ω", 1}, {"Ω", 1}},
	Frequency:    {{"Hz", 1}, {"Hz", 1}},
	Length:       {{"mm", 1e-3}, {"in", inch}},
	Mass:         {{"kg", 1}, {"lb", pound}},
	Force:        {{"N", 1}, {"lbf", poundForce}},
	Duration:     {{"s", 1}, {"s", 1}},
	Angle:        {{"°", degree}, {"°", degree}},
	SurfaceSpeed: {{"m/s", 1}, {"ft/min", feetPerMin}},
	BackEMF:      {{"V·s", 1}, {"V·s", 1}},
	Inertia:      {{"kg·m²", 1}, {"lb·ft²", pound * foot * foot}},
	Pressure:     {{"N/mm²", 1e6}, {"psi", poundForce / (inch * inch)}},
	Density:      {{"kg/m³", 1}, {"lb/in³", pound / (inch * inch * inch)}},
	Capacitance:  {{"µF", 1e-6}, {"µF", 1e-6}},
	Inductance:   {{"mH", 1e-3}, {"mH", 1e-3}},
	Energy:       {{"Wh", 3600}, {"Wh", 3600}},
	Temperature:  {{"°C", 1}, {"°F", fahrenheit}},
	Rise:         {{"K", 1}, {"°F", fahrenheit}},
	Sound:        {{"dB", 1}, {"dB", 1}},
	Insulation:   {{"MΩ", 1e6}, {"MΩ", 1e6}},
}

// Unit returns the label a dimension is shown with and the SI value of one such unit.
func Unit(d Dimension, s System) (label string, si float64) {
	u := &showTable[d][0]
	if s == Inch {
		u = &showTable[d][1]
	}
	return u.label, u.factor
}
