package supply

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
