package identify

import (
	"fmt"
	"math"
	"sort"
	"strings"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
)

// Ohms is a resistance read between two leads. An empty reading was not taken; "open" or "OL" is
// no continuity.
type Ohms struct {
	A    string `json:"a" maxLength:"20" doc:"Colour or number of a lead"`
	B    string `json:"b" maxLength:"20"`
	Ohms q.Text `json:"ohms" unit:"Ω"`
}

// Leads is every reading between the leads of a motor.
type Leads struct {
	Readings []Ohms   `json:"readings" maxItems:"40" nullable:"false"`
	Thin     []string `json:"thin" maxItems:"12" nullable:"false" doc:"Leads that are thinner than the rest"`
}

// Winding is a group of leads that belong together, and what they are.
type Winding struct {
	Leads []string `json:"leads" nullable:"false"`
	Is    string   `json:"is" doc:"What the group is, in words"`
	Roles []string `json:"roles" nullable:"false" doc:"What each lead is, lead by lead"`
}

// Sorted is what the readings say of the leads.
type Sorted struct {
	Windings []Winding   `json:"windings" nullable:"false"`
	Verdict  string      `json:"verdict"`
	Findings []f.Finding `json:"findings" nullable:"false"`
	Thermal  string      `json:"thermal" doc:"The pair that is a thermal switch, or empty"`
}

// How readings are told apart [common practice].
const (
	alikeWithin  = 0.12 // windings meant to be alike differ by no more
	sumWithin    = 0.15 // start and run in series against the two together
	switchOhms   = 1.0  // a closed thermal switch reads next to nothing
	thermistor   = 20.0 // a thermistor or sensor reads more than a small motor's winding
	maxLeads     = 12
	maxOhmsTaken = 5e6
)

// network is the readings as resistances between numbered leads; +Inf for open, NaN for not taken.
type network struct {
	names []string
	thin  map[string]bool
	ohms  map[[2]int]float64
}

func (n *network) index(name string) int {
	for i, have := range n.names {
		if strings.EqualFold(have, name) {
			return i
		}
	}
	n.names = append(n.names, name)
	return len(n.names) - 1
}

func (n *network) between(a, b int) float64 {
	if v, ok := n.ohms[[2]int{min(a, b), max(a, b)}]; ok {
		return v
	}
	return math.NaN()
}

// open reports whether a reading means no continuity.
func open(t q.Text) bool {
	switch strings.ToLower(strings.TrimSpace(string(t))) {
	case "open", "ol", "o.l", "o.l.", "∞", "inf", "none", "no":
		return true
	}
	return false
}

// Sort reads the leads' resistances and says which belong together and what they are. The error is
// quantity.FieldErrors when a reading cannot be used.
func Sort(in Leads) (Sorted, error) {
	r := q.NewReader("")
	n := &network{thin: map[string]bool{}, ohms: map[[2]int]float64{}}
	for i, reading := range in.Readings {
		at := fmt.Sprintf("readings[%d]", i)
		a, b := strings.TrimSpace(reading.A), strings.TrimSpace(reading.B)
		if a == "" && b == "" && !reading.Ohms.Known() {
			continue
		}
		if a == "" || b == "" || strings.EqualFold(a, b) {
			r.Refuse(at+".a", reading.A, "name two different leads by colour or number")
			continue
		}
		v := math.Inf(1)
		if !open(reading.Ohms) {
			got := r.Read(at+".ohms", reading.Ohms, q.Resistance, q.Range{Min: 0, Max: maxOhmsTaken})
			if !got.Known {
				continue
			}
			v = got.SI
		}
		ia, ib := n.index(a), n.index(b)
		n.ohms[[2]int{min(ia, ib), max(ia, ib)}] = v
	}
	if len(n.names) > maxLeads {
		r.Refuse("readings", fmt.Sprint(len(n.names)), fmt.Sprintf("at most %d leads", maxLeads))
	}
	for _, name := range in.Thin {
		n.thin[strings.ToLower(strings.TrimSpace(name))] = true
	}
	if err := r.Err(); err != nil {
		return Sorted{}, err
	}
	return n.sorted(), nil
}

// groups are the leads with continuity between them, in the order they were named.
func (n *network) groups() [][]int {
	seen := make([]bool, len(n.names))
	var out [][]int
	for i := range n.names {
		if seen[i] {
			continue
		}
		group, look := []int{}, []int{i}
		seen[i] = true
		for len(look) > 0 {
			at := look[0]
			group, look = append(group, at), look[1:]
			for k := range n.names {
				if v := n.between(at, k); !seen[k] && k != at && !math.IsNaN(v) && !math.IsInf(v, 0) {
					seen[k] = true
					look = append(look, k)
				}
			}
		}
		sort.Ints(group)
		out = append(out, group)
	}
	return out
}

func (n *network) words(group []int) []string {
	out := make([]string, len(group))
	for i, g := range group {
		out[i] = n.names[g]
	}
	return out
}

func (n *network) allThin(group []int) bool {
	for _, g := range group {
		if !n.thin[strings.ToLower(n.names[g])] {
			return false
		}
	}
	return len(group) > 0
}

func (n *network) sorted() Sorted {
	s := Sorted{Windings: []Winding{}, Findings: []f.Finding{}}
	var pairs, threes [][]int
	for _, g := range n.groups() {
		switch {
		case len(g) == 1:
			s.add(n.words(g), "alone: nothing reads to it; earth lead, or an open winding", nil)
			s.say(f.LeadsLoneLead, f.Caution, "A lead with continuity to nothing",
				n.names[g[0]]+" may be the earth. If it is not, its winding is open and the motor is not worth the "+
					"bench.")
		case len(g) == 2 && n.isThermal(g):
			s.Thermal = strings.Join(n.words(g), " and ")
			s.add(n.words(g), "thermal switch: next to nothing while cool", nil)
			s.say(f.LeadsThermalSwitch, f.Caution, s.Thermal+": a thermal switch",
				"Never bin it. Wire it into the enable or the control feed, so that a hot motor stops itself. Some "+
					"throw it away: a small motor has one because it needs it.")
		case len(g) == 2 && n.allThin(g):
			s.add(n.words(g), "thin pair: a thermistor or tachometer", nil)
			s.say(f.LeadsThinPair, f.Caution, "A thin pair that is no winding",
				fmt.Sprintf("%s reads %s. A tachometer gives volts when the shaft is spun; a thermistor changes as "+
					"it is warmed. Keep it for the drive.", strings.Join(n.words(g), " and "),
					q.Show(n.between(g[0], g[1]), q.Resistance, q.Metric)))
		case len(g) == 2:
			pairs = append(pairs, g)
		default:
			threes = append(threes, g)
		}
	}
	for _, g := range threes {
		n.three(&s, g)
	}
	n.pairs(&s, pairs)
	if s.Verdict == "" {
		s.Verdict = "Put in the ohms between the leads, two at a time. Write open where there is no continuity."
	}
	return s
}

func (n *network) isThermal(g []int) bool {
	v := n.between(g[0], g[1])
	if v >= switchOhms {
		return false
	}
	// Thick leads that read next to nothing are a strong winding unless something else reads more.
	if n.allThin(g) {
		return true
	}
	most := 0.0
	for _, ohms := range n.ohms {
		if !math.IsInf(ohms, 0) {
			most = max(most, ohms)
		}
	}
	return most > 5*max(v, 0.1) && len(n.names) > 2
}

func (s *Sorted) add(leads []string, is string, roles []string) {
	if roles == nil {
		roles = []string{}
	}
	s.Windings = append(s.Windings, Winding{leads, is, roles})
}

func (s *Sorted) say(id f.ID, level f.Level, title, detail string) {
	s.Findings = append(s.Findings, f.Finding{ID: id, Level: level, Station: f.Motor, Title: title, Detail: detail})
}

func alike(values ...float64) bool {
	least, most := math.Inf(1), 0.0
	for _, v := range values {
		least, most = min(least, v), max(most, v)
	}
	return least > 0 && most/least-1 <= alikeWithin
}

// three sorts a group of three leads or more that hang together.
func (n *network) three(s *Sorted, g []int) {
	names := n.words(g)
	if len(g) > 3 {
		n.more(s, g)
		return
	}
	ab, bc, ac := n.between(g[0], g[1]), n.between(g[1], g[2]), n.between(g[0], g[2])
	switch {
	case math.IsNaN(ab) || math.IsNaN(bc) || math.IsNaN(ac):
		s.add(names, "three leads, one pair not read", nil)
		s.say(f.LeadsPairMissing, f.Missing, "Read all three pairs", "Each of "+strings.Join(names,
			", ")+" against each other: three readings tell it.")
	case alike(ab, bc, ac):
		s.add(names, "three windings alike, joined in star or delta", []string{"phase", "phase", "phase"})
		s.Verdict = "Three alike: a three-phase motor, or a brushless one if it cogs by hand."
	default:
		n.singlePhase(s, g, ab, bc, ac)
	}
}

// singlePhase finds common, run and start among three leads: the highest pair is start and run in
// series, the third lead is common, and of its two readings the lower is run.
func (n *network) singlePhase(s *Sorted, g []int, ab, bc, ac float64) {
	type reading struct {
		ohms   float64
		common int
	}
	highest := reading{ab, g[2]}
	for _, r := range []reading{{bc, g[0]}, {ac, g[1]}} {
		if r.ohms > highest.ohms {
			highest = r
		}
	}
	var others []int
	for _, lead := range g {
		if lead != highest.common {
			others = append(others, lead)
		}
	}
	run, start := others[0], others[1]
	if n.between(highest.common, run) > n.between(highest.common, start) {
		run, start = start, run
	}
	low, high := n.between(highest.common, run), n.between(highest.common, start)
	names := []string{n.names[highest.common], n.names[run], n.names[start]}
	off := math.Abs(highest.ohms/(low+high) - 1)
	if off > sumWithin {
		s.add(names, "three leads whose readings do not fit start and run", nil)
		s.Verdict = "Not common, start and run: the highest reading should be the other two together."
		s.say(f.LeadsSumOff, f.Caution, "Readings do not add up",
			fmt.Sprintf("%s against %s for the other two together. Read again with the leads off everything, "+
				"capacitor too; if it stays so, these leads are something else: speeds of a fan, or a fault.",
				q.Show(highest.ohms, q.Resistance, q.Metric), q.Show(low+high, q.Resistance, q.Metric)))
		return
	}
	s.add(names, "a single-phase motor's run and start windings, joined at one lead",
		[]string{"common", "run, the lower reading", "start, the higher reading"})
	s.Verdict = fmt.Sprintf("%s is common, %s is run, %s is start.", names[0], names[1], names[2])
	if alike(low, high) {
		s.say(f.LeadsBothWays, f.Good, "Run and start are alike",
			"A motor made to turn either way: swap which of the two has the capacitor.")
	}
}

// more sorts four leads or more that hang together: a stepper's centre taps, or a fan's speeds.
func (n *network) more(s *Sorted, g []int) {
	s.add(n.words(g), fmt.Sprintf("%d leads joined: speeds of a fan motor, or a stepper with its centres joined",
		len(g)), nil)
	s.Verdict = "Many leads on one winding: a fan motor with several speeds, or a stepper with its centres joined. " +
		"The lowest reading from the common lead is the fastest speed."
}

// pairs sorts windings that stand apart from each other.
func (n *network) pairs(s *Sorted, pairs [][]int) {
	if len(pairs) == 0 {
		return
	}
	values := make([]float64, len(pairs))
	for i, p := range pairs {
		values[i] = n.between(p[0], p[1])
	}
	alone := len(s.Windings) == 0 || s.Verdict == ""
	switch {
	case len(pairs) == 1:
		is := "one winding"
		if values[0] > thermistor && !alone {
			is = "a pair that reads high: a sensor, a tachometer or a brake coil"
		}
		s.add(n.words(pairs[0]), is, nil)
		if s.Verdict == "" {
			s.Verdict = "One winding on two leads: direct current if it has brushes, else shaded pole, or a start " +
				"switch hides the second winding."
		}
	case len(pairs) == 2 && alike(values...):
		for _, p := range pairs {
			s.add(n.words(p), "one of two windings alike", nil)
		}
		s.Verdict = "Two windings alike on four leads: a stepper if it ticks round by hand, else a single-phase " +
			"motor made for two voltages or both ways."
	case len(pairs) == 2:
		run, start := 0, 1
		if values[0] > values[1] {
			run, start = 1, 0
		}
		s.add(n.words(pairs[run]), "run winding, the lower reading", nil)
		s.add(n.words(pairs[start]), "start winding, the higher reading", nil)
		s.Verdict = fmt.Sprintf("Run on %s, start on %s. Swap the start winding's ends to turn it the other way.",
			strings.Join(n.words(pairs[run]), " and "), strings.Join(n.words(pairs[start]), " and "))
		if values[start]/values[run] > 20 {
			s.Verdict += " So far apart, they may instead be armature and field of a wound direct-current motor: " +
				"look for brushes."
		}
	case len(pairs) == 3 && alike(values...):
		for _, p := range pairs {
			s.add(n.words(p), "one phase, both ends out", []string{"begins", "ends"})
		}
		s.Verdict = "Three windings alike on six leads: a three-phase motor, to be linked in star for the higher " +
			"volts or in delta for the lower."
	default:
		for _, p := range pairs {
			s.add(n.words(p), "a winding of its own", nil)
		}
		s.Verdict = fmt.Sprintf("%d separate windings: two speeds, or run, start and an auxiliary. Mark each pair "+
			"before going on.", len(pairs))
	}
}
