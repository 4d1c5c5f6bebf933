package work

// Material is something that is cut.
type Material struct {
	ID       string  `json:"id"`
	Name     string  `json:"name"`
	Specific float64 `json:"specific" doc:"k_c1.1: N/mm² at a chip 1 mm thick; 0 when there is no figure"`
	Exponent float64 `json:"exponent" doc:"m_c: how fast it falls with thicker chips"`
	// Usual surface speeds, m/min.
	TurningHSS, TurningCarbide float64 `json:"-"`
	Sawing, Sanding            float64 `json:"-"`
	grinding                   float64 // specific grinding energy, J/mm³
}

// materials with specific cutting force [from memory] and usual surface speeds [common practice].
var materials = []Material{
	{"plain-steel", "Plain steel (S235)", 1780, 0.17, 30, 150, 65, 1500, 40},
	{"medium-steel", "Medium-carbon steel (C45)", 2220, 0.14, 25, 120, 50, 1500, 40},
	{"alloy-steel", "Tough alloy steel (42CrMo4)", 2500, 0.26, 18, 90, 35, 1500, 40},
	{"stainless", "Stainless steel", 2350, 0.21, 15, 100, 25, 1200, 45},
	{"grey-iron", "Grey cast iron", 1020, 0.25, 22, 90, 40, 1500, 25},
	{"brass", "Brass", 780, 0.18, 70, 200, 100, 1500, 20},
	{"aluminium", "Aluminium alloy", 700, 0.25, 100, 300, 300, 1500, 20},
	{"plastic", "Plastic", 0, 0, 150, 300, 300, 600, 0},
	{"wood", "Wood", 0, 0, 600, 600, 800, 1200, 0},
}

// Materials returns what can be cut, in the order it is offered.
func Materials() []Material { return append([]Material(nil), materials...) }

func findMaterial(id string) (Material, bool) {
	for _, m := range materials {
		if m.ID == id {
			return m, true
		}
	}
	return Material{}, false
}

// Surface speeds relative to turning, and a vitrified wheel's [common practice].
const (
	drillingShare = 0.8
	wheelSpeed    = 30.0 // m/s
)

// UsualSurfaceSpeed returns the usual surface speed of a cut in m/s [common practice], or false
// when operation or material are not known. The tool matters for turning, drilling and milling.
func UsualSurfaceSpeed(c Cut) (v float64, ok bool) {
	if c.Operation == "grinding" {
		return wheelSpeed, true
	}
	m, ok := findMaterial(c.Material)
	if !ok {
		return 0, false
	}
	perMinute := m.TurningHSS
	if c.Tool == "carbide" {
		perMinute = m.TurningCarbide
	}
	switch c.Operation {
	case "sawing":
		perMinute = m.Sawing
	case "sanding":
		perMinute = m.Sanding
	case "drilling":
		perMinute *= drillingShare
	case "turning", "milling":
	default:
		return 0, false
	}
	return perMinute / 60, true
}

// densities in kg/m³ [from memory].
var densities = map[string]float64{
	"steel": 7850, "iron": 7200, "aluminium": 2700, "brass": 8500, "wood": 650, "water": 1000, "concrete": 2400,
}

// Like is a machine of a usual kind and the motors such machines carry.
type Like struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	LowKW  float64 `json:"lowKw"`
	HighKW float64 `json:"highKw"`
}

// likes are typical motor powers by kind and size [common practice].
var likes = []Like{
	{"bench-drill-13", "Bench drill, 13 mm chuck", 0.25, 0.55},
	{"pillar-drill-20", "Pillar drill, 20 mm", 0.55, 1.1},
	{"bench-grinder-150", "Bench grinder, 150 mm wheels", 0.25, 0.4},
	{"bench-grinder-200", "Bench grinder, 200 mm wheels", 0.4, 0.75},
	{"belt-grinder-50", "Belt grinder, 50 mm belt", 0.75, 1.5},
	{"disc-sander-300", "Disc sander, 300 mm", 0.55, 1.1},
	{"wood-bandsaw-350", "Wood bandsaw, 350 mm wheels", 0.55, 1.1},
	{"metal-bandsaw", "Metal bandsaw, small", 0.37, 0.75},
	{"power-hacksaw", "Power hacksaw, 150 mm", 0.25, 0.55},
	{"bench-lathe-230", "Bench lathe, 180–250 mm swing", 0.4, 0.75},
	{"lathe-300", "Lathe, 300 mm swing", 0.75, 1.5},
	{"small-mill", "Small milling machine", 0.4, 0.75},
	{"shaper-300", "Shaper, 300 mm stroke", 0.55, 1.1},
	{"potters-wheel", "Potter's wheel", 0.25, 0.55},
	{"dough-mixer", "Dough or clay mixer, 20 kg", 0.55, 1.1},
	{"wood-lathe-300", "Wood lathe, 300 mm", 0.37, 0.75},
}

// Likes returns the comparable machines, in the order they are offered.
func Likes() []Like { return append([]Like(nil), likes...) }

func findLike(id string) (Like, bool) {
	for _, l := range likes {
		if l.ID == id {
			return l, true
		}
	}
	return Like{}, false
}
