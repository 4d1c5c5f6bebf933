// Package quantity reads, converts and shows physical quantities as a machinist
// writes them: "3/4 hp", `1 3/8"`, "60 N·cm", "5 lb at 80 mm".
//
// Values are float64 in SI units; each [Dimension] says which SI unit that is.
// What a person typed is kept as [Text] and never rewritten.
package quantity

// Dimension is a kind of physical quantity. Its String names it for messages.
type Dimension int

// The dimensions Jiriki works in, each with the SI unit its values are held in.
const (
	Number       Dimension = iota // a bare number; "65 %" reads as 0.65
	Speed                         // rotation, rad/s
	Torque                        // N·m
	Power                         // W
	Voltage                       // V
	Current                       // A
	Resistance                    // Ω
	Frequency                     // Hz
	Length                        // m
	Mass                          // kg
	Force                         // N; a scale's "5 lb" or "2 kg" reads as the weight of it
	Duration                      // s
	Angle                         // rad
	SurfaceSpeed                  // belt or cutting speed, m/s
	BackEMF                       // V·s per radian, the same number as N·m/A
	Inertia                       // moment of inertia, kg·m²
	Pressure                      // stress or specific cutting force, Pa
	Density                       // kg/m³
	Capacitance                   // F; a bare number is microfarads
	Inductance                    // H; a bare number is millihenries
	Energy                        // J; a bare number is watt-hours, as batteries are sold
	Temperature                   // K; a bare number is degrees Celsius
	Rise                          // difference of two temperatures, K
	Sound                         // level of sound, dB
	Insulation                    // ohms between windings and frame; a bare number, and MΩ, is megohms
)

var dimensionNames = [...]string{
	"number", "speed", "torque", "power", "volts", "amps", "resistance", "frequency",
	"length", "mass", "force", "time", "angle", "surface speed", "back-EMF constant",
	"inertia", "specific force", "density", "capacitance", "inductance", "energy", "temperature",
	"temperature rise", "sound level", "insulation",
}

func (d Dimension) String() string { return dimensionNames[d] }

// System is the family of units figures are shown in. It never changes what was typed.
type System string

// The two families of units.
const (
	Metric System = "metric"
	Inch   System = "inch"
)
