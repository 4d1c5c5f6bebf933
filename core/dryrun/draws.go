package dryrun

import (
	"errors"
	"math"
	"math/rand/v2"
	"slices"

	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/work"
	"jiriki/core/working"
)

// Draws is how a run comes out over what is not known of its machine: so many runs, each with other figures for it.
type Draws struct {
	Of       int      `json:"of" doc:"How many runs"`
	Tallies  []Tally  `json:"tallies" nullable:"false" doc:"What was found in some of them, oftenest first"`
	Unknown  []string `json:"unknown" nullable:"false" doc:"What was drawn, and how far it may be off"`
	Band     Band     `json:"band"`
	Stood    int      `json:"stood" doc:"In how many it never turned"`
	ToSpeed  Spread   `json:"toSpeed" doc:"Seconds"`
	MostAmps Spread   `json:"mostAmps"`
	Stop     Spread   `json:"stop" doc:"Seconds"`
}

// Tally is how many of the runs found something.
type Tally struct {
	ID    f.ID    `json:"id"`
	Level f.Level `json:"level" enum:"stop,missing,caution,good"`
	Title string  `json:"title" doc:"As one of them said it"`
	Count int     `json:"count"`
}

// Spread is where nine in ten of the runs lie.
type Spread struct {
	Low   float64 `json:"low"`
	High  float64 `json:"high"`
	Past  bool    `json:"past" doc:"The high end lies past the end of the run: it takes longer than that"`
	Never int     `json:"never" doc:"In how many it did not come to it before the run ended"`
}

// Band is where the spindle's speed lies in nine of ten runs.
type Band struct {
	Seconds []float64 `json:"seconds" nullable:"false"`
	Low     []float64 `json:"low" nullable:"false" doc:"rpm"`
	High    []float64 `json:"high" nullable:"false" doc:"rpm"`
}

// UsualDraws is how many runs are made over what is not known.
const UsualDraws = 200

// bandPoints is how finely the band is shown.
const bandPoints = 240

// How far off what was not measured may be, a factor or a share either way [common practice].
const (
	guessedTwice   = 2.0  // an inertia or a friction nobody gave
	voltsOff       = 0.04 // of a socket whose volts nobody read on the day
	magnetOff      = 0.05 // a constant from the plate
	ohmsOff        = 0.2  // a winding's ohms from the plate
	breakdownOff   = 0.15 // a kind's usual breakdown and start
	loadMeasured   = 0.07
	loadStated     = 0.1
	loadReckoned   = 0.15
	loadComparable = 0.25
)

// ErrStopped is what a long piece of work ends with that was told to stop.
var ErrStopped = errors.New("stopped")

// Over runs a plan's script so many times over what is not known, the same draws each time. goesOn is told how much is
// done, from 0 to 1, and may stop it. The error is [ErrStopped], or as of [Of].
func Over(in plan.Input, draws int, goesOn func(share float64) bool) (Draws, error) {
	_, t, err := prepare(&in)
	if err != nil || t == nil {
		return Draws{Tallies: []Tally{}, Unknown: []string{}, Band: Band{[]float64{}, []float64{}, []float64{}}}, err
	}
	d := drawing{t: t, out: Draws{Of: draws, Tallies: []Tally{}, Unknown: unknowns(newMachine(t, &t.Script))},
		random: rand.New(rand.NewPCG(seedOne, seedTwo)), counts: map[f.ID]*Tally{}}
	for i := range draws {
		if !goesOn(float64(i) / float64(draws)) {
			return Draws{}, ErrStopped
		}
		r, err := simulate(d.machine(), &t.Script, detail{fine: coarse})
		if err != nil {
			continue // figures so far off that nothing moves as numbers do
		}
		res := resultsOf(r)
		d.take(r, &res, findingsOf(r, &res, in.Units))
	}
	return d.done(), nil
}

// Every run of draws begins with the same seed, so that it repeats.
const (
	seedOne = 0x6a6972696b69
	seedTwo = 0x0d72796e
)

// coarse is how much coarser one of many runs is than one that is looked at.
const coarse = 10

// drawing is draws on their way.
type drawing struct {
	t      *line.Model
	out    Draws
	random *rand.Rand
	counts map[f.ID]*Tally
	order  []f.ID

	seconds               []float64
	speeds                [][]float64 // at each of them, of every run
	toSpeed, amps, stopIn []float64
	longest               float64 // s of the longest run
	stood                 int     // how many never turned
}

// unknowns says what is drawn, and how far off it may be.
func unknowns(m *machine) []string {
	out := []string{}
	if m.guess.inertia {
		out = append(out, "inertia, half to twice")
	}
	if m.guess.friction {
		out = append(out, "friction, half to twice")
	}
	if m.Motor.Kind.Family() == motor.InductionFamily {
		out = append(out, "breakdown and starting torque, ±"+q.Percent(breakdownOff))
	}
	if m.Motor.DC.Ke.OK() && m.Motor.DC.Ke.Standing != working.Measured {
		out = append(out, "K_e, ±"+q.Percent(max(magnetOff, m.Motor.Spread)))
	}
	if m.Motor.DC.Resistance.OK() && m.Motor.DC.Resistance.Standing != working.Measured {
		out = append(out, "winding’s ohms, ±"+q.Percent(ohmsOff))
	}
	if len(m.Machine.Jobs) > 0 {
		out = append(out, "loads, by how they were found")
	}
	if !m.Script.Volts.Known && !m.Supply.Battery {
		out = append(out, "volts, ±"+q.Percent(voltsOff))
	}
	return out
}

// times draws a factor between 1/of and of, evenly by ratio.
func (d *drawing) times(of float64) float64 {
	return math.Exp((2*d.random.Float64() - 1) * math.Log(of))
}

// about draws a factor about 1, off by a share at the most.
func (d *drawing) about(share float64) float64 { return 1 + (2*d.random.Float64()-1)*share }

// machine is the machine with other figures for what is not known. The same figures are drawn whatever is known, so
// that learning one does not change another.
func (d *drawing) machine() *machine {
	inertia, friction, volts := d.times(guessedTwice), d.times(guessedTwice), d.about(voltsOff)
	ke, ohms, breakdown, start := d.random.Float64(), d.about(ohmsOff), d.about(breakdownOff), d.about(breakdownOff)
	loads := make([]float64, len(d.t.Machine.Jobs))
	for i := range loads {
		loads[i] = d.about(1) - 1
	}
	t := *d.t
	if dc := &t.Motor.DC; dc.Ke.OK() {
		if dc.Ke.Standing != working.Measured {
			dc.Ke.Value *= 1 + (2*ke-1)*max(magnetOff, t.Motor.Spread)
		}
		if dc.Resistance.Standing != working.Measured {
			dc.Resistance.Value *= ohms
		}
	}
	if t.Motor.Kind.Family() == motor.InductionFamily {
		t.Motor.Induction.Breakdown *= breakdown
		t.Motor.Induction.Start *= start
	}
	t.Machine.Jobs = slices.Clone(t.Machine.Jobs)
	for i := range t.Machine.Jobs {
		t.Machine.Jobs[i].Scale(loadDrawn(&t.Machine.Jobs[i], loads[i]))
	}
	t.Powered = t.Motor.On(t.Feed)
	m := newMachine(&t, &t.Script)
	if m.guess.inertia {
		m.rest = m.position.Inertia + (m.rest-m.position.Inertia)*inertia
	}
	if m.guess.friction {
		m.running *= friction
		m.resting *= friction
	}
	if !t.Script.Volts.Known && !t.Supply.Battery {
		m.supply *= volts
	}
	return m
}

// loadDrawn is how many times its load a job takes in a draw, from -1 to 1: evenly by ratio over the band where its
// load is a usual one, else evenly about what was found.
func loadDrawn(job *work.Need, at float64) float64 {
	if job.Usual.Is() {
		return math.Pow(job.Usual.Likely, 1-at) // the middle at 0, the most at 1, the least at -1
	}
	return 1 + at*loadOff(job)
}

// loadOff is how far off a job's load may be, by how it was found.
func loadOff(job *work.Need) float64 {
	switch job.Found {
	case working.Measured:
		return max(loadMeasured, job.Spread/2)
	case working.Read:
		return loadStated
	case working.Computed:
		return loadReckoned
	}
	return loadComparable
}

// take counts one run in.
func (d *drawing) take(r *run, res *Results, findings []f.Finding) {
	for _, one := range findings {
		if one.Level == f.Good {
			continue
		}
		tally := d.counts[one.ID]
		if tally == nil {
			tally = &Tally{ID: one.ID, Level: one.Level, Title: one.Title}
			d.counts[one.ID], d.order = tally, append(d.order, one.ID)
		}
		tally.Count++
	}
	if d.seconds == nil {
		ends := res.Lasts
		for i := range bandPoints {
			d.seconds = append(d.seconds, ends*float64(i)/(bandPoints-1))
		}
		d.speeds = make([][]float64, bandPoints)
	}
	at := 0
	rows := r.log.rows
	for i, t := range d.seconds {
		for at+1 < len(rows) && rows[at+1].t <= t {
			at++
		}
		speed := rows[at].spindle
		if at+1 < len(rows) && rows[at+1].t > rows[at].t {
			speed += (rows[at+1].spindle - speed) * (t - rows[at].t) / (rows[at+1].t - rows[at].t)
		}
		d.speeds[i] = append(d.speeds[i], speed/q.RPM)
	}
	d.amps = append(d.amps, res.MostAmps)
	d.toSpeed = append(d.toSpeed, orNever(res.ToSpeed))
	if !res.Started {
		d.stood++
	}
	if r.askedToStop() {
		d.stopIn = append(d.stopIn, orNever(res.Stop))
	}
	d.longest = max(d.longest, res.Lasts)
}

// done is what the draws come to.
func (d *drawing) done() Draws {
	for _, id := range d.order {
		d.out.Tallies = append(d.out.Tallies, *d.counts[id])
	}
	slices.SortStableFunc(d.out.Tallies, func(a, b Tally) int { return b.Count - a.Count })
	d.out.ToSpeed, d.out.MostAmps = d.spreadOf(d.toSpeed), d.spreadOf(d.amps)
	d.out.Stop = d.spreadOf(d.stopIn)
	d.out.Stood = d.stood
	d.out.Band = Band{[]float64{}, []float64{}, []float64{}}
	for i, t := range d.seconds {
		s := d.spreadOf(d.speeds[i])
		d.out.Band.Seconds = append(d.out.Band.Seconds, q.Rounded(t))
		d.out.Band.Low, d.out.Band.High = append(d.out.Band.Low, s.Low), append(d.out.Band.High, s.High)
	}
	return d.out
}

// orNever is a time something took; what did not come to its end took longer than anything.
func orNever(took float64) float64 {
	if took == 0 {
		return math.Inf(1)
	}
	return took
}

// spreadOf is where nine in ten of some figures lie; those that never came to their end lie past the longest run.
func (d *drawing) spreadOf(of []float64) Spread {
	if len(of) == 0 {
		return Spread{}
	}
	slices.Sort(of)
	last := float64(len(of) - 1)
	low, high := of[int(math.Round(0.05*last))], of[int(math.Round(0.95*last))]
	out := Spread{Past: math.IsInf(high, 1)}
	for _, v := range of {
		if math.IsInf(v, 1) {
			out.Never++
		}
	}
	out.Low, out.High = q.Rounded(min(low, d.longest)), q.Rounded(min(high, d.longest))
	return out
}
