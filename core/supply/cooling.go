package supply

import q "jiriki/core/quantity"

// Heat out of a closed box [common practice]: a steel box in still air passes 5.5 W per m² and K, and
// air carries off 1.2 kJ per m³ and K.
const (
	boxPasses = 5.5
	airTakes  = 1200.0
	// BoxRise is how much warmer than the room a drive's box may be, K.
	BoxRise = 15.0
)

// BoxArea returns the area (m²) of free-standing steel that passes so many watts at BoxRise.
func BoxArea(watts float64) float64 { return watts / (boxPasses * BoxRise) }

// FanFlow returns the air (m³/s) that takes so many watts away at BoxRise.
func FanFlow(watts float64) float64 { return watts / (airTakes * BoxRise) }

// AreaText writes an area (m²) as it is said in a system of units.
func AreaText(area float64, sys q.System) string {
	if sys == q.Inch {
		return q.Figures(area/(foot*foot), 2) + "\u202fft²"
	}
	return q.Figures(area, 2) + "\u202fm²"
}

// FlowText writes a flow of air (m³/s) as it is said in a system of units.
func FlowText(flow float64, sys q.System) string {
	if sys == q.Inch {
		return q.Figures(flow*60/(foot*foot*foot), 2) + "\u202fft³/min"
	}
	return q.Figures(flow*3600, 2) + "\u202fm³/h"
}

const foot = 0.3048 // m, exact
