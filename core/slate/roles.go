package slate

import (
	"errors"
	"fmt"
	"math"
	"regexp"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/supply"
)

// role is what a number of a question stands for.
type role string

const (
	none        role = ""
	power       role = "a power"
	torque      role = "a torque"
	speed       role = "a speed"
	volts       role = "volts"
	amps        role = "amps"
	ohms        role = "ohms"
	hertz       role = "hertz"
	poleCount   role = "a number of poles"
	farads      role = "a capacitor"
	diameter    role = "a diameter"
	radius      role = "a radius"
	boreSize    role = "a shaft's size"
	centre      role = "a distance between shafts"
	beltLength  role = "a belt's length"
	thickness   role = "a thickness"
	lead        role = "a screw's lead"
	feedPerTurn role = "a feed for each turn"
	surface     role = "a surface speed"
	force       role = "a pull"
	mass        role = "a weight"
	inertia     role = "an inertia"
	duration    role = "a time"
	conductor   role = "a conductor"
	cable       role = "a length of cable"
	flashes     role = "a rate of flashes"
	imageCount  role = "a number of images"
	moduleSize  role = "a module or diametral pitch"
	energy      role = "an energy"
	temperature role = "a temperature"
	ratioKnown  role = "a ratio"
	factor      role = "a power factor"
	other       role = "another figure"
	wheelPair   role = "two wheels"
	toothPair   role = "two numbers of teeth"
	speedPair   role = "two speeds"
)

// ofDimension are the roles numbers have by their unit alone.
var ofDimension = map[q.Dimension]role{q.Power: power, q.Torque: torque, q.Speed: speed, q.Voltage: volts,
	q.Current: amps, q.Resistance: ohms, q.Frequency: hertz, q.SurfaceSpeed: surface, q.Inertia: inertia,
	q.Duration: duration, q.Capacitance: farads, q.Energy: energy, q.Temperature: temperature, q.Force: force,
	q.Length: diameter}

// lengthWords tell what a length is, by a word beside it.
var lengthWords = []struct {
	role  role
	words []string
}{
	{radius, []string{"radius", "arm", "lever", "handle", "crank", "spanner", "wrench"}},
	{centre, []string{"centre", "centres", "center", "centers", "apart", "between"}},
	{beltLength, []string{"belt", "loop"}},
	{thickness, []string{"thick", "wide", "face", "long", "high"}},
	{lead, []string{"lead", "screw", "leadscrew", "pitch"}},
	{feedPerTurn, []string{"feed", "feeding"}},
	{cable, []string{"cable", "run", "away", "lead-in", "flex", "cord"}},
	{diameter, []string{"wheel", "disc", "disk", "pulley", "drum", "chuck", "bar", "work", "diameter", "dia", "blade",
		"saw", "drill", "sheave", "flywheel"}},
	{boreSize, []string{"bore", "shaft", "spindle", "hole", "key", "keyway"}},
}

// pair are two numbers that a mark ties together.
type pair struct{ a, b *item }

// facts are what a question was found to hold.
type facts struct {
	text  string // lower case
	sys   q.System
	items []item
	pairs map[role]pair
	used  map[*item]bool
	wrong string // why a number that was typed cannot be used
}

// factsOf reads a question.
func factsOf(text string, sys q.System) *facts {
	f := &facts{
		text:  strings.ToLower(text),
		sys:   sys,
		items: slices.DeleteFunc(read(text), inAName),
		pairs: map[role]pair{},
		used:  map[*item]bool{},
	}
	for i := 1; i < len(f.items); i++ {
		if a, b := &f.items[i-1], &f.items[i]; b.mark != apart && a.role == none {
			f.tie(a, b)
		}
	}
	for i := range f.items {
		if m := &f.items[i]; m.role == none {
			f.settle(m)
		}
	}
	return f
}

// inAName reports whether a number is part of what a thing is called: three phases, three jaws, a frame of 56.
func inAName(m item) bool {
	names := []string{" phase", " ph ", " jaw", " frame", " start"}
	begins := func(word string) bool { return strings.HasPrefix(m.after, word) }
	return m.unit == "" && slices.ContainsFunc(names, begins)
}

// has reports whether the question has one of some words.
func (f *facts) has(words ...string) bool {
	return slices.ContainsFunc(words, func(w string) bool { return strings.Contains(f.text, w) })
}

// tie settles what two numbers with a mark between them are. A unit that only the second has stands for both.
func (f *facts) tie(a, b *item) {
	if a.unit == "" && a.sort == "" {
		a.unit, a.dims, a.sort = b.unit, b.dims, b.sort
	}
	if b.mark == from {
		a, b = b, a
	}
	is := func(d q.Dimension) bool { return slices.Contains(a.dims, d) && slices.Contains(b.dims, d) }
	bare := a.unit == "" && b.unit == "" && a.sort == b.sort
	size := max(number(a), number(b))
	if b.mark == and && !(is(q.Length) && f.has("centre", "center", "apart", "pulley", "sheave")) {
		return // two of anything else are only two
	}
	switch {
	case is(q.Speed) || bare && a.sort == "" && (b.mark == arrow && size > 500 || f.has("rpm")):
		f.take(speedPair, a, b, q.Speed)
	case is(q.Length):
		f.take(wheelPair, a, b, q.Length)
	case bare && (a.sort == teeth || f.has("teeth", "gear", " dp", "module", "chain", "sprocket", "worm")) &&
		whole(a) && whole(b):
		f.take(toothPair, a, b, q.Number)
	case bare && a.sort == "" && size <= 2000:
		f.take(wheelPair, a, b, q.Length)
	}
}

func (f *facts) take(as role, a, b *item, d q.Dimension) {
	if _, known := f.pairs[as]; known || !f.value(a, d) || !f.value(b, d) {
		return
	}
	a.role, b.role = as, as
	f.pairs[as] = pair{a, b}
}

// value reads a number in a dimension; in its usual unit where it has none, as the person's system has it.
func (f *facts) value(m *item, d q.Dimension) bool {
	unit := m.unit
	if d == q.Number {
		unit = "" // its sort says of what
	}
	if unit == "thou" {
		v, err := q.Parse(m.number+" in", d)
		m.si = v / 1000
		return err == nil && v > 0
	}
	if unit == "" && d == q.Length && f.sys == q.Inch {
		unit = "in"
	}
	v, err := q.Parse(m.number+q.Text(" "+unit), d)
	m.si = v
	if errors.Is(err, q.ErrAmbiguous) {
		f.wrong = fmt.Sprintf("“%s” %v.", m.text, err)
	}
	return err == nil && (v > 0 || d == q.Temperature) && v < 1e12
}

func number(m *item) float64 {
	v, err := q.Parse(m.number, q.Number)
	if err != nil {
		return 0
	}
	return v
}

func whole(m *item) bool { return number(m) == math.Trunc(number(m)) && number(m) >= 1 }

// settle finds what a number by itself stands for: by its unit, then by the words beside it.
func (f *facts) settle(m *item) {
	as, d := none, q.Number
	switch {
	case m.sort != "":
		as, d = map[sort]role{poles: poleCount, teeth: toothPair, tpi: lead, dp: moduleSize, module: moduleSize,
			feed: feedPerTurn, wire: conductor, images: imageCount, rate: flashes}[m.sort], q.Number
		if m.sort == feed {
			d = q.Length
		}
	case m.unit == "thou":
		as, d = f.lengthOf(m, feedPerTurn), q.Length
	case len(m.dims) > 0:
		d = m.dims[0]
		if slices.Contains(m.dims, q.Force) && slices.Contains(m.dims, q.Mass) {
			d = q.Force
			if f.weighs(m) {
				d = q.Mass
			}
		}
		switch as = ofDimension[d]; {
		case d == q.Number && strings.HasSuffix(strings.ReplaceAll(m.unit, " ", ""), "1"):
			as = ratioKnown
		case d == q.Mass:
			as = mass
		case d == q.Length:
			as = f.lengthOf(m, diameter)
		case as == speed && strings.Contains(f.text, "strobe"):
			as = flashes
		case as == none:
			as = other
		}
	case powerFactorBefore.MatchString(m.before):
		as = factor
	case strings.HasSuffix(m.before, " at ") || strings.HasSuffix(m.before, " turning "):
		as, d = speed, q.Speed
		if f.has("strobe", "flash", "image") {
			as = flashes
		}
	case f.has("strobe", "flash") && number(m) > 20:
		as, d = flashes, q.Speed
	case strings.HasPrefix(m.after, " revs") && f.timed() == 0:
		as, d = speed, q.Speed
	default:
		if as = f.lengthOf(m, none); as != none {
			d = q.Length
		}
	}
	if as == none && strings.TrimSpace(m.before) == "and" {
		as, d = f.likeTheOneBefore(m)
	}
	if as == none || !f.value(m, d) {
		return
	}
	m.role = as
	switch m.sort {
	case tpi, dp:
		m.si = inch / m.si
	case module:
		m.si *= 1e-3
	case rate:
		m.si *= q.RPM
	case wire:
		size, err := supply.ParseWire(string(m.number) + " " + m.unit)
		if err != nil {
			m.role = none
		}
		m.si = size.Area
	}
}

// likeTheOneBefore is what the number before stands for, for a bare one that follows it after an and.
func (f *facts) likeTheOneBefore(m *item) (role, q.Dimension) {
	for i := 1; i < len(f.items); i++ {
		if &f.items[i] == m && m.unit == "" {
			before := &f.items[i-1]
			m.unit, m.dims, m.sort = before.unit, before.dims, before.sort
			if m.sort != "" && m.sort != feed {
				return before.role, q.Number
			}
			for d, as := range ofDimension {
				if as == before.role || before.role == flashes && d == q.Speed {
					return before.role, d
				}
			}
		}
	}
	return none, q.Number
}

// timed is how many numbers are times.
func (f *facts) timed() int {
	n := 0
	for i := range f.items {
		if slices.Equal(f.items[i].dims, []q.Dimension{q.Duration}) {
			n++
		}
	}
	return n
}

const inch = 0.0254 // m, exact

// powerFactorBefore names a power factor.
var powerFactorBefore = regexp.MustCompile(` (?:pf|cos|cosφ|cosϕ|φ|phi|power factor) $`)

// besides are words that may stand between a length and the word that tells of it.
var besides = regexp.MustCompile(`( (?:of|is|a|an|the|at|to|with|on|about|across))+ $`)

// lengthOf is what a length stands for: by the word just before it or just after it, else by the last telling one
// before it, else usual.
func (f *facts) lengthOf(m *item, usual role) role {
	near := besides.ReplaceAllString(m.before, " ")
	fallback, last := none, -1
	for _, known := range lengthWords {
		for _, word := range known.words {
			switch at := strings.LastIndex(near, " "+word+" "); {
			case strings.HasSuffix(near, " "+word+" ") || strings.HasPrefix(m.after, " "+word+" ") &&
				!told(near):
				return known.role
			case at > last:
				fallback, last = known.role, at
			}
		}
	}
	if fallback != none {
		return fallback
	}
	_, wheels := f.pairs[wheelPair]
	switch {
	case wheels && (strings.HasSuffix(m.before, " on ") || strings.HasSuffix(m.before, " at ")):
		return centre
	case (strings.HasSuffix(m.before, " at ") || strings.HasSuffix(m.before, " on ")) && f.twists(m):
		return radius
	case f.has("mm²", "mm2", "awg", "gauge") && usual == diameter:
		return cable
	}
	return usual
}

// twists reports whether the number before one is a pull or a torque: a length it is at is where it pulls.
func (f *facts) twists(m *item) bool {
	for i := 1; i < len(f.items); i++ {
		if &f.items[i] == m {
			dims := f.items[i-1].dims
			return slices.Contains(dims, q.Force) || slices.Contains(dims, q.Torque)
		}
	}
	return false
}

// told reports whether words end with one that tells of a length.
func told(words string) bool {
	for _, known := range lengthWords {
		for _, word := range known.words {
			if strings.HasSuffix(words, " "+word+" ") {
				return true
			}
		}
	}
	return false
}

// weighs reports whether what could be a pull is a weight: of a disc, or what an inertia is made of.
func (f *facts) weighs(m *item) bool {
	if f.has("scale", "pull", "force", "balance") {
		return false
	}
	return f.has("disc", "disk", "flywheel", "weigh", "inertia", "head", "ring", "rim of", "drum of", "mass", "heavy",
		"cylinder")
}

// one returns the first number of a role.
func (f *facts) one(as role) (*item, bool) {
	for i := range f.items {
		if f.items[i].role == as {
			return &f.items[i], true
		}
	}
	return nil, false
}

// all returns every number of a role.
func (f *facts) all(as role) []*item {
	var out []*item
	for i := range f.items {
		if f.items[i].role == as {
			out = append(out, &f.items[i])
		}
	}
	return out
}

// holds reports whether the question has a number, or two tied together, of a role.
func (f *facts) holds(as role) bool {
	if _, tied := f.pairs[as]; tied {
		return true
	}
	_, found := f.one(as)
	return found && as != toothPair && as != wheelPair && as != speedPair
}
