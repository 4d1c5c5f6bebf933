package work

import (
	"fmt"
	"math"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/working"
)

// derivation gathers a job's workings in one system of units.
type derivation struct {
	*Need
	sys  q.System
	list []working.Working
}

func (d *derivation) show(v float64, dim q.Dimension) string { return q.Show(v, dim, d.sys) }

func (d *derivation) add(id working.ID, label, value, formula, substituted string,
	src *source.Source, assumes ...string,
) {
	d.list = append(d.list, working.Derive(id.Of(d.ID), d.Name+": "+label, value, formula, substituted, src,
		assumes...))
}

// Workings derives how a job's band and torque were found. A job with something missing has what
// can be told so far.
func (n *Need) Workings(sys q.System) []working.Working {
	d := &derivation{Need: n, sys: sys, list: make([]working.Working, 0, 4)}
	d.speed()
	if n.Missing != "" {
		return d.list
	}
	switch n.Method {
	case ByScale:
		d.torque("T = F·r·sin(angle), mean of the pulls", d.overBand(), source.SpringScale)
	case ByCutting:
		d.cutting()
	case ByInertia:
		d.inertia()
	case ByReplaced:
		d.replaced()
	case ByComparable:
		d.torque("T = P / ω", "the motor such a machine carries, over "+d.show(n.High, q.Speed),
			source.ComparableMachines, "No second margin: its maker has put one in")
	case ByPull:
		d.torque("T = F·d / 2", d.overBand(), source.Mechanics)
	case ByScrew:
		d.screw()
	case ByPower:
		d.torque("T = P / ω", d.overBand(), source.Mechanics)
	default:
		d.torque("as entered", d.overBand(), source.Typed)
	}
	d.power()
	d.rim()
	if n.Start.Torque > 0 {
		d.add(working.JobBreakaway, "torque to start", d.show(n.Start.Torque, q.Torque), n.Start.formula, n.Start.By,
			n.Start.ground)
	}
	return d.list
}

// power derives what the job takes at the spindle, bare and with its margin, in watts and horsepower.
func (d *derivation) power() {
	watts, at := d.MostPower()
	if watts == 0 {
		return
	}
	both := func(v float64) string { return q.Show(v, q.Power, q.Metric) + ", " + q.Show(v, q.Power, q.Inch) }
	d.add(working.JobWatts, "power at the spindle", both(watts), "P = T·ω, the most over the band",
		d.show(d.TorqueAt(at), q.Torque)+" at "+d.show(at, q.Speed), source.Mechanics, d.toBuy(both, watts))
}

// toBuy says what power to buy for a job that takes so many watts.
func (d *derivation) toBuy(both func(float64) string, watts float64) string {
	switch {
	case d.Usual.Is():
		return "By the most such work takes, from " + both(watts*d.Usual.Least) + " on; weighed, it may be less"
	case d.Margin == 1:
		return "A margin is in it already"
	}
	return "With the margin of ×" + q.Figures(d.Margin, 3) + " it is " + both(watts*d.Margin)
}

// rim derives what pulls at the tool and how fast it goes by, where a diameter is known.
func (d *derivation) rim() {
	if d.Largest == 0 {
		return
	}
	force := d.TorqueAt(d.Low) / (d.Largest / 2)
	slow, fast := d.Low*d.Largest/2, d.High*d.Smallest/2
	if d.Smallest == d.Largest {
		fast = d.High * d.Largest / 2
	}
	d.add(working.JobRim, "force at ⌀ "+d.show(d.Largest, q.Length), q.Show(force, q.Force, q.Metric)+", "+
		q.Show(force, q.Force, q.Inch), "F = T / r, v = π·d·n",
		d.show(d.TorqueAt(d.Low), q.Torque)+" ÷ "+d.show(d.Largest/2, q.Length), source.Mechanics,
		"It goes by at "+SpeedsAt(slow, fast))
}

// SpeedsAt writes speeds of a surface in metres a second, metres a minute and feet a minute.
func SpeedsAt(slow, fast float64) string {
	each := func(times float64, unit string) string {
		if low, high := q.Figures(slow*times, 3), q.Figures(fast*times, 3); low != high {
			return low + "–" + high + q.ThinSpace + unit
		}
		return q.Figures(fast*times, 3) + q.ThinSpace + unit
	}
	return each(1, "m/s") + ", " + each(60, "m/min") + ", " + each(60/0.3048, "ft/min")
}

func (d *derivation) overBand() string {
	return d.show(d.Torque, q.Torque) + " from " + d.show(d.Low, q.Speed) + " to " + d.show(d.High, q.Speed)
}

func (d *derivation) torque(formula, figures string, src *source.Source, assumes ...string) {
	d.add(working.JobTorque, "torque", d.show(d.Torque, q.Torque), formula, figures, src, assumes...)
}

func (d *derivation) speed() {
	band := d.show(d.Low, q.Speed) + " to " + d.show(d.High, q.Speed)
	if d.Low == d.High {
		band = d.show(d.Low, q.Speed)
	}
	switch {
	case d.Low == 0:
	case d.Surface > 0:
		src, from := source.SurfaceSpeed, []string{}
		if d.UsualSurface {
			src, from = source.SurfaceSpeeds, []string{"The usual surface speed for this cut; put in your own where " +
				"you know better"}
		}
		d.add(working.JobSpeed, "spindle speed", band, "n = v / (π·d)",
			q.Figures(d.Surface*60, 3)+" m/min, "+q.Figures(d.Surface/0.3048*60, 3)+" ft/min", src,
			from...)
	case d.ByHand > 0:
		d.add(working.JobSpeed, "spindle speed", band, "n = turns / time × wished factor",
			"by hand "+d.show(d.ByHand, q.Speed), source.Mechanics)
	case d.Lead > 0:
		d.add(working.JobSpeed, "spindle speed", band, "n = travel / lead", "lead "+d.show(d.Lead, q.Length),
			source.Mechanics)
	}
}

// removal writes a rate of removal in both families of units.
func removal(v float64) string {
	const cubicInch = 0.0254 * 0.0254 * 0.0254
	return q.Figures(v*60e6, 3) + q.ThinSpace + "cm³/min, " + q.Figures(v*60/cubicInch, 3) + q.ThinSpace + "in³/min"
}

func (d *derivation) cutting() {
	c := d.Cutting
	abrasive := c.Chip == 0
	if abrasive {
		d.torque("T = u·Q / ω", q.Figures(c.Specific/1e9, 3)+" J/mm³ × "+removal(c.Removal),
			source.GrindingEnergy)
	} else {
		d.add(working.JobSpecific, "specific cutting force", d.show(c.Specific, q.Pressure), "k_c = k_c1.1·h^(−m_c)",
			"chip "+d.show(c.Chip, q.Length)+" thick, m_c "+q.Figures(c.Material.Exponent, 3),
			source.Kienzle)
		formula := map[string]string{
			"drilling": "T = k_c·f·d² / 8, two lips", "milling": "T = k_c·a_p·a_e·f_z·z / 2π",
			"sawing": "T = k_c·kerf·chip·(teeth in the cut)·d/2",
		}[c.Operation]
		if formula == "" {
			formula = "T = k_c·a_p·f·d / 2"
		}
		d.torque(formula, "force "+d.show(c.Force, q.Force), source.Kienzle)
	}
	d.add(working.JobPower, "power in the cut", d.show(c.Power, q.Power), "P = T·ω",
		d.show(c.Torque, q.Torque)+" "+
			map[bool]string{true: "where the torque is most", false: "at its fastest"}[c.Sizes],
		source.Mechanics)
	unit := ""
	if c.Removal > 0 {
		perCubicInch := c.Power / c.Removal * math.Pow(0.0254, 3) / 60 / q.Horsepower
		unit = q.Figures(perCubicInch, 2) + " hp for each in³/min"
	}
	d.add(working.JobRemoval, "removal rate", removal(c.Removal), "Q = section of the cut × surface speed", unit,
		source.UnitPower)
}

func (d *derivation) inertia() {
	s := d.Spinning
	parts := make([]string, len(s.Parts))
	for i, j := range s.Parts {
		parts[i] = q.Figures(j, 3)
	}
	d.add(working.JobInertia, "inertia at the spindle", q.Show(s.Inertia, q.Inertia, d.sys),
		"J = Σ shape·m·r²·(turns/spindle)²", strings.Join(parts, " + ")+" kg·m²", source.InertiaShapes)
	d.torque("T = J·Δω/Δt + friction", q.Show(s.Inertia, q.Inertia, d.sys)+" × "+q.Figures(d.High, 4)+
		" rad/s ÷ "+d.show(s.Within, q.Duration)+" + "+d.show(s.Friction, q.Torque), source.Mechanics)
}

func (d *derivation) replaced() {
	var figures []string
	for _, p := range d.Points {
		figures = append(figures, d.show(p.Torque, q.Torque)+" at "+d.show(p.Omega, q.Speed))
	}
	d.torque("T = P·η / ω at each of its positions", strings.Join(figures, "; "), source.OldMotor,
		"What the machine had is what it must have again, and no more")
}

func (d *derivation) screw() {
	d.torque("T = F·lead / (2π·η)", "lead "+d.show(d.Feed.Lead, q.Length)+", keeps "+
		q.Percent(d.Feed.Efficiency), source.ScrewEfficiency)
	if !d.Feed.Beside {
		return
	}
	for i, main := range d.Feed.Mains {
		d.add(working.ID(fmt.Sprintf("%s-%d", working.JobFeed, i)), "feed at "+d.show(main, q.Speed)+" of the spindle",
			d.show(d.Feed.PerTurn(d.Low, main), q.Length)+" to "+d.show(d.Feed.PerTurn(d.High, main), q.Length)+
				" a turn",
			"feed per turn = screw rpm × lead / spindle rpm", d.overBandSpeeds(), source.Mechanics)
	}
}

func (d *derivation) overBandSpeeds() string {
	return "screw from " + d.show(d.Low, q.Speed) + " to " + d.show(d.High, q.Speed) + ", lead " +
		d.show(d.Feed.Lead, q.Length)
}
