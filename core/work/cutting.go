package work

import (
	"math"

	q "jiriki/core/quantity"
)

// Cutting is a cut worked out. SI throughout; the removal and power at the top of the band.
type Cutting struct {
	Operation string
	Material  Material
	Specific  float64 // k_c at this chip, Pa; for grinding the specific energy, J/m³
	Chip      float64 // mean chip thickness, m; 0 for grinding
	Force     float64 // N, 0 where only power is meant
	Torque    float64 // N·m at the spindle
	Power     float64 // W at the top of the band
	Removal   float64 // m³/s there
	Sizes     bool    // the band comes of diameters at one surface speed: the largest turns slowest and takes most
	Grows     string  // the input that grows with torque, for the largest cut
	GrowsFrom float64 // its value, SI
	Squared   bool    // torque goes with its square
	bites     Bites
	GrowsDim  q.Dimension
}

// drillHalfPoint is the sine of half a drill's 118° point.
var drillHalfPoint = math.Sin(59 * math.Pi / 180)

// cutFields reads the blanks of a cut; missing is the first that the operation needs and lacks.
type cutFields struct {
	depth, feed, diameter, width, perTooth, teeth, length, travel, specific q.Value
}

func readCut(c CuttingLoad, r *q.Reader) cutFields {
	small := q.Range{Min: 1e-7, Max: 0.1}
	return cutFields{
		depth: r.Read("depth", c.Depth, q.Length, small), feed: r.ReadFeed("feed", c.Feed, small),
		diameter: r.Read("diameter", c.Diameter, q.Length, q.Range{Min: 1e-4, Max: 5}),
		width: r.Read("width", c.Width, q.Length, q.Range{Min: 1e-5,
			Max: 1}),
		perTooth: r.Read("perTooth", c.PerTooth, q.Length, small), teeth: r.Read("teeth", c.Teeth, q.Number,
			q.Range{Min: 1, Max: 200}),
		length: r.Read("length", c.Length, q.Length, q.Range{Min: 1e-4, Max: 2}),
		travel: r.Read("travel", c.Travel, q.SurfaceSpeed, q.Range{Min: 1e-5,
			Max: 5}),
		specific: r.Read("specific", c.Specific, q.Pressure, q.Range{Min: 1e6, Max: 1e11}),
	}
}

// cutting works out a cut by Kienzle's relation k_c = k_c1.1·h^(−m_c), F_c = k_c·b·h, with h in
// millimetres; grinding by specific energy. The band is rad/s; largest is the largest diameter of
// a band found from surface speed, or 0.
func cutting(j Job, r *q.Reader, low, high, largest float64) (c Cutting, missing string) {
	f := readCut(j.Load.Cutting, r)
	c.Operation = j.Cut.Operation
	var known bool
	if c.Material, known = findMaterial(j.Cut.Material); !known && !f.specific.Known {
		return c, "cut.material"
	}
	// From the largest diameter to the smallest at one surface speed: turned down, torque goes with
	// diameter and power stays; a drill's torque goes with its square.
	c.Sizes = largest > 0 && high > low && (c.Operation == "turning" || c.Operation == "" || c.Operation == "drilling")
	at := high
	if c.Sizes {
		at = low
	}
	if largest > 0 && (c.Sizes || !f.diameter.Known) {
		f.diameter = q.Value{SI: largest, Known: true}
	}
	needs := func(v q.Value, field string) {
		if !v.Known && missing == "" {
			missing = "load.cutting." + field
		}
	}
	needs(f.diameter, "diameter")
	switch c.Operation {
	case "drilling":
		needs(f.feed, "feed")
	case "milling":
		needs(f.depth, "depth")
		needs(f.width, "width")
		needs(f.perTooth, "perTooth")
		needs(f.teeth, "teeth")
		if missing == "" && f.width.SI > f.diameter.SI {
			r.Refuse("width", string(j.Load.Cutting.Width), "the cutter cannot be in wider than its diameter")
			missing = "load.cutting.width"
		}
	case "sawing":
		needs(f.width, "width")
		needs(f.perTooth, "perTooth")
		needs(f.teeth, "teeth")
		needs(f.length, "length")
	case "grinding", "sanding":
		needs(f.depth, "depth")
		needs(f.width, "width")
		needs(f.travel, "travel")
	default:
		needs(f.depth, "depth")
		needs(f.feed, "feed")
	}
	if missing == "" && c.Material.Specific == 0 && !f.specific.Known {
		missing = "load.cutting.specific"
	}
	if missing == "" {
		c.work(f, at)
	}
	if missing == "" && (c.Operation == "turning" || c.Operation == "") {
		mean := 1.0
		c.bites, mean = interrupted(j.Load.Cutting, r)
		c.Torque, c.Power, c.Removal = c.Torque*mean, c.Power*mean, c.Removal*mean
	}
	return c, missing
}

// kienzle is k_c in Pa at a chip thickness in metres.
func (c *Cutting) kienzle(f cutFields) {
	c.Specific = f.specific.Or(c.Material.Specific*1e6) * math.Pow(c.Chip*1000, -c.Material.Exponent)
}

func (c *Cutting) work(f cutFields, top float64) {
	radius := f.diameter.SI / 2
	c.GrowsDim = q.Length
	switch c.Operation {
	case "drilling":
		c.Chip = f.feed.SI / 2 * drillHalfPoint
		c.kienzle(f)
		c.Torque = c.Specific * f.feed.SI * f.diameter.SI * f.diameter.SI / 8
		c.Force = c.Torque / (radius / 2) // on both lips, at half the radius
		c.Removal = math.Pi * radius * radius * f.feed.SI * top / (2 * math.Pi)
		c.Grows, c.GrowsFrom, c.Squared = "diameter", f.diameter.SI, true
	case "milling":
		engaged := math.Acos(1 - 2*f.width.SI/f.diameter.SI)
		c.bites = milled(math.Round(f.teeth.SI), engaged, c.Material.Exponent)
		c.Chip = 2 * f.width.SI / f.diameter.SI * f.perTooth.SI / engaged
		c.kienzle(f)
		volume := f.depth.SI * f.width.SI * f.perTooth.SI * f.teeth.SI // in one turn
		c.Torque = c.Specific * volume / (2 * math.Pi)
		c.Force = c.Torque / radius
		c.Removal = volume * top / (2 * math.Pi)
		c.Grows, c.GrowsFrom = "depth", f.depth.SI
	case "sawing":
		c.Chip = f.perTooth.SI
		c.kienzle(f)
		pitch := 0.0254 / f.teeth.SI
		c.Force = c.Specific * f.width.SI * c.Chip * f.length.SI / pitch
		c.Torque = c.Force * radius
		c.Removal = f.width.SI * f.length.SI * c.Chip / pitch * top * radius
		c.Grows, c.GrowsFrom = "length", f.length.SI
	case "grinding", "sanding":
		energy := c.Material.grinding * 1e9
		c.Specific = f.specific.Or(energy)
		c.Removal = f.depth.SI * f.width.SI * f.travel.SI
		c.Power = c.Specific * c.Removal
		c.Torque = c.Power / top
		c.Force = c.Torque / radius
		c.Grows, c.GrowsFrom = "depth", f.depth.SI
		return
	default:
		c.Chip = f.feed.SI
		c.kienzle(f)
		c.Force = c.Specific * f.depth.SI * f.feed.SI
		c.Torque = c.Force * radius
		c.Removal = f.depth.SI * f.feed.SI * radius * top
		c.Grows, c.GrowsFrom = "depth", f.depth.SI
	}
	c.Power = c.Torque * top
}

// Largest is the input that may grow, as far as a torque times spare (> 0) reaches, with the
// rest of the cut as it is.
func (c Cutting) Largest(spare float64) float64 {
	if c.Squared {
		return c.GrowsFrom * math.Sqrt(spare)
	}
	return c.GrowsFrom * spare
}
