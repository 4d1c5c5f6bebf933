package work

import (
	"maps"
	"slices"
	"strings"
)

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
	dust                       bool    // its dust hangs in the air and burns
}

// materials with specific cutting force [from memory] and usual surface speeds [common practice].
var materials = []Material{
	{
		ID: "plain-steel", Name: "Plain steel", Specific: 1780, Exponent: 0.17, TurningHSS: 30,
		TurningCarbide: 150, Sawing: 65, Sanding: 1500, grinding: 40,
	},
	{
		ID: "medium-steel", Name: "Medium-carbon steel", Specific: 2220, Exponent: 0.14, TurningHSS: 25,
		TurningCarbide: 120, Sawing: 50, Sanding: 1500, grinding: 40,
	},
	{
		ID: "alloy-steel", Name: "Tough alloy steel", Specific: 2500, Exponent: 0.26, TurningHSS: 18,
		TurningCarbide: 90, Sawing: 35, Sanding: 1500, grinding: 40,
	},
	{
		ID: "stainless", Name: "Stainless steel", Specific: 2350, Exponent: 0.21, TurningHSS: 15, TurningCarbide: 100,
		Sawing: 25, Sanding: 1200, grinding: 45,
	},
	{
		ID: "grey-iron", Name: "Grey cast iron", Specific: 1020, Exponent: 0.25, TurningHSS: 22, TurningCarbide: 90,
		Sawing: 40, Sanding: 1500, grinding: 25,
	},
	{
		ID: "brass", Name: "Brass", Specific: 780, Exponent: 0.18, TurningHSS: 70, TurningCarbide: 200, Sawing: 100,
		Sanding: 1500, grinding: 20,
	},
	{
		ID: "aluminium", Name: "Aluminium alloy", Specific: 700, Exponent: 0.25, TurningHSS: 100, TurningCarbide: 300,
		Sawing: 300, Sanding: 1500, grinding: 20,
	},
	{
		ID: "plastic", Name: "Plastic", Specific: 0, Exponent: 0, TurningHSS: 150, TurningCarbide: 300, Sawing: 300,
		Sanding: 600, grinding: 0,
	},
	{
		dust: true,
		ID:   "wood", Name: "Wood", Specific: 0, Exponent: 0, TurningHSS: 600, TurningCarbide: 600, Sawing: 800,
		Sanding: 1200, grinding: 0,
	},
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

// DensityIn returns the density (kg/m³) of what a text says a part is made of, and its name; false where it says none.
func DensityIn(text string) (density float64, material string, ok bool) {
	for _, name := range slices.Sorted(maps.Keys(densities)) {
		if strings.Contains(text, name) {
			return densities[name], name, true
		}
	}
	return 0, "", false
}

// densities in kg/m³ [from memory].
var densities = map[string]float64{
	"steel": 7850, "iron": 7200, "aluminium": 2700, "brass": 8500, "wood": 650, "water": 1000, "concrete": 2400,
}
