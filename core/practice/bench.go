package practice

import (
	"math"
	"math/rand/v2"
	"sort"

	"jiriki/core/dryrun"
	"jiriki/core/instrument"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// Simulated is a machine with figures it keeps to itself, running by a dry run, and the instruments on it.
type Simulated struct {
	trace   dryrun.Trace
	seed    uint32
	resting float64 // N·m at its spindle that just start it
}

// Simulate makes the machine of a seed and runs it with the knob at a share of full: on, left to warm, a load that
// comes and
// goes. It is false where the seed's machine does not run, which none does not.
func Simulate(seed uint32, knob float64) (Simulated, bool) {
	w := &world{Rand: rand.New(rand.NewPCG(uint64(seed), 99)), sys: q.Metric}
	in := practicePlan(w, motor.PermanentMagnetDC)
	in.Plan.Control.Feedback = "armature"
	in.Plan.Script = script.Described{Friction: q.WrittenTo(w.between(0.3, 1.2), 3, "N·m"),
		Inertia: q.WrittenTo(w.between(0.01, 0.08), 3, "kg·m²"), Lasts: "60 s", Events: []script.Event{
			{At: "0 s", Does: script.On, Speed: q.WrittenTo(100*min(max(knob, 0.1), 1), 3, "%")},
			{At: "20 s", Does: script.Cut, Job: "cut", Lasts: "15 s"},
			{At: "50 s", Does: script.Coast},
		}}
	out, err := dryrun.Of(in)
	if err != nil || !out.Runs || len(out.Trace.Seconds) < 2 {
		return Simulated{}, false
	}
	friction, err := q.Parse(in.Plan.Script.Friction, q.Torque)
	return Simulated{trace: out.Trace, seed: seed, resting: friction}, err == nil
}

// Pull is what a spring scale reads, N, hooked so far out (m) on an arm of its spindle, unplugged, as it just starts to
// turn; pull tells one from the next.
func (s *Simulated) Pull(radius float64, pull int) float64 {
	noise := rand.New(rand.NewPCG(uint64(s.seed), uint64(1000+pull)))
	return math.Round(10*s.resting/radius*(1+0.03*noise.NormFloat64())) / 10
}

// Lasts is how long one round of it takes, s.
func (s *Simulated) Lasts() float64 { return s.trace.Seconds[len(s.trace.Seconds)-1] }

// At is what its instruments read at a time, s, each with its own noise: the same at the same time.
func (s *Simulated) At(seconds float64) []instrument.Line {
	t := math.Mod(seconds, s.Lasts())
	i := min(max(sort.SearchFloat64s(s.trace.Seconds, t), 1), len(s.trace.Seconds)-1)
	before, after := s.trace.Seconds[i-1], s.trace.Seconds[i]
	share := 1.0
	if after > before {
		share = min(max((t-before)/(after-before), 0), 1)
	}
	of := func(list []float64) float64 { return list[i-1] + share*(list[i]-list[i-1]) }
	noise := rand.New(rand.NewPCG(uint64(s.seed), math.Float64bits(math.Round(seconds*1000))))
	read := func(word instrument.Word, v, off, step float64) instrument.Line {
		v *= 1 + off*noise.NormFloat64()
		return instrument.Line{Word: word, Value: math.Round(v/step) * step, Clock: math.Round(seconds*1000) / 1000}
	}
	return []instrument.Line{
		read("rpm", math.Abs(of(s.trace.SpindleRPM)), 0.002, 0.5), read("rpm2", math.Abs(of(s.trace.MotorRPM)), 0.002,
			0.5),
		read("volts", of(s.trace.Volts), 0.004, 0.1), read("amps", math.Abs(of(s.trace.Amps)), 0.01, 0.01),
		read("celsius", of(s.trace.CaseC), 0.005, 0.1),
	}
}

// Sound is what a microphone beside it hears from a time on, mono samples, the motor turning as it does then: its
// turns and
// their multiples, the belt, the hum of its supply and noise.
func (s *Simulated) Sound(from, seconds, rate float64) []float64 {
	motorRPM := 0.0
	for _, line := range s.At(from) {
		if line.Word == "rpm2" {
			motorRPM = line.Value
		}
	}
	spindle := 0.0
	for _, line := range s.At(from) {
		if line.Word == "rpm" {
			spindle = line.Value
		}
	}
	noise := rand.New(rand.NewPCG(uint64(s.seed), 7))
	out := make([]float64, int(seconds*rate))
	tone := func(hertz, size float64) {
		if hertz <= 0 || hertz > 0.45*rate {
			return
		}
		phase := noise.Float64() * 2 * math.Pi
		for i := range out {
			out[i] += size * math.Sin(2*math.Pi*hertz*float64(i)/rate+phase)
		}
	}
	turns := motorRPM / 60
	for h, size := range []float64{0.06, 0.04, 0.02, 0.015} {
		tone(turns*float64(h+1), size)
	}
	tone(spindle/60, 0.04)
	tone(100, 0.3)
	tone(50, 0.1)
	for i := range out {
		out[i] += 0.04 * noise.NormFloat64()
	}
	return out
}

// SeenAt is what an eye sees of one mark on its spindle under flashes, so many a minute, at a time.
func (s *Simulated) SeenAt(seconds, flashes float64) string {
	t := math.Mod(seconds, s.Lasts())
	i := min(sort.SearchFloat64s(s.trace.Seconds, t), len(s.trace.Seconds)-1)
	rpm := math.Abs(s.trace.SpindleRPM[i])
	if rpm < 1 {
		return "it stands"
	}
	return seenAt(rpm, flashes)
}

// Plan is a plan in which only what could be read off the machine stands: for who wants to lay the readings over
// something.
func Plan(seed uint32) plan.Input {
	w := &world{Rand: rand.New(rand.NewPCG(uint64(seed), 99)), sys: q.Metric}
	return practicePlan(w, motor.PermanentMagnetDC)
}
