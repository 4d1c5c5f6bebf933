package trial

import (
	"errors"
	"fmt"
	"math"
	"slices"

	"gonum.org/v1/gonum/dsp/fourier"
	"gonum.org/v1/gonum/dsp/window"
	"gonum.org/v1/gonum/floats"
	"gonum.org/v1/gonum/stat"

	q "jiriki/core/quantity"
)

// Clues are what is known of a machine before it is heard. Frequencies in Hz, the rotor's in turns a second; everything
// else as so many times the rotor's turns.
type Clues struct {
	Mains     float64   // of the supply; 0 for none
	Low, High float64   // the rotor turns no slower and no faster
	Spindle   float64   // turns of the spindle; 0 for none
	Belts     []float64 // times round of each belt
	PerTurn   []float64 // what passes in each turn: blades, teeth, commutator bars
}

// Heard is the rotor's speed out of a sound, in turns a second.
type Heard struct {
	Speed    float64     `json:"speed" doc:"Turns a second of the motor"`
	Spread   float64     `json:"spread" doc:"Nine times in ten it is no further out"`
	RunnerUp float64     `json:"runnerUp" doc:"The next likeliest; 0 for none"`
	Sure     bool        `json:"sure" doc:"The next likeliest is well behind"`
	Spindle  float64     `json:"spindle" doc:"Turns a second of the spindle by the plan's ratio; 0 without one"`
	Lines    []SoundLine `json:"lines" nullable:"false" doc:"What it was heard by"`
	Hertz    []float64   `json:"hertz" nullable:"false" doc:"Of the spectrum as it is drawn"`
	Level    []float64   `json:"level" nullable:"false" doc:"Over its floor, dB"`
}

// SoundLine is one line of a spectrum and what makes it.
type SoundLine struct {
	Hertz float64 `json:"hertz"`
	What  string  `json:"what"`
	Level float64 `json:"level" doc:"Over the floor, dB"`
}

// Errors of hearing.
var (
	ErrTooShort = errors.New("a second of sound at least is needed; four are better")
	ErrRate     = errors.New("it has to be recorded with 6000 to 400 000 samples a second")
	ErrSilence  = errors.New("there is nothing in it but its own noise")
)

// Bounds of a sound.
const (
	leastSeconds = 1.0
	MostSeconds  = 15.0
	analysedRate = 6000.0 // samples a second kept at the least
	mostRate     = 400e3
	mostHarmonic = 6
	heardTo      = 2500.0 // Hz
)

// Evidence of lines: how many times over its floor a line is before it counts, and how much any one of them counts.
const (
	countsFrom  = 7.0
	mostOfOne   = 4.0
	missing     = 0.8 // taken off where the rotor's own line is not there
	missingWeak = 0.25
	slipAllowed = 0.02 // of a belt, up or down
	sameSpeed   = 0.012
	sureBy      = 3.0 // how far the next likeliest is behind before a speed counts as sure
	sureShare   = 0.8
)

// Hear finds the rotor's speed in a mono sound of so many samples a second: mains and its multiples are fitted and
// taken out, then combs of lines are laid over what stands out of the noise for every speed the clues allow, and the
// best kept. It returns ErrRate, ErrTooShort or ErrSilence where there is nothing to go by.
func Hear(samples []float64, rate float64, clues Clues) (Heard, error) {
	if !(rate >= analysedRate && rate <= mostRate) {
		return Heard{}, ErrRate
	}
	if float64(len(samples)) < leastSeconds*rate {
		return Heard{}, ErrTooShort
	}
	if clues.Low <= 0 || clues.High <= clues.Low {
		return Heard{}, fmt.Errorf("no speeds to listen for between %g and %g", clues.Low, clues.High)
	}
	s := newSpectrum(samples, rate, clues.Mains)
	if s == nil {
		return Heard{}, ErrSilence
	}
	e := ear{s, clues}
	best, runner := e.search()
	if best.score < countsFrom/4 {
		return Heard{}, ErrSilence
	}
	out := Heard{Speed: best.f, Spread: best.spread, RunnerUp: runner.f}
	out.Sure = best.score-runner.score > sureBy && runner.score < sureShare*best.score && !e.mayBeOctave(best) &&
		!e.mayBeHum(best.f)
	if clues.Spindle > 0 {
		out.Spindle = out.Speed * clues.Spindle
	}
	out.Lines = e.linesAt(out.Speed)
	out.Hertz, out.Level = s.drawn()
	return out, nil
}

// spectrum is a sound's power by frequency over its local floor.
type spectrum struct {
	step  float64 // Hz from bin to bin
	power []float64
	floor []float64
	over  []float64 // power over floor; 0 where mains was
	hums  []float64 // Hz of mains that are heard, the one that was told or another
}

// newSpectrum is nil for silence.
func newSpectrum(samples []float64, rate, mains float64) *spectrum {
	if most := int(MostSeconds * rate); len(samples) > most {
		samples = samples[:most]
	}
	// Averaging neighbours keeps what is below some kilohertz, where shafts sound.
	k := max(1, int(rate/analysedRate))
	x := make([]float64, len(samples)/k)
	for i := range x {
		for j := range k {
			x[i] += samples[i*k+j] / float64(k)
		}
	}
	rate /= float64(k)
	mean := stat.Mean(x, nil)
	for i := range x {
		x[i] -= mean
	}
	var hums []float64
	told := 0.0
	for _, usual := range usualMains {
		f, stands := humAt(x, rate, usual)
		if stands {
			hums = append(hums, f)
		}
		if usual == mains {
			told = f
		}
	}
	if mains > 0 && told == 0 {
		told, _ = humAt(x, rate, mains)
	}
	if mains = told; mains > 0 {
		withoutHum(x, rate, mains)
	}
	s := spectrumOf(x, rate, mains)
	if s != nil {
		s.hums = hums
	}
	return s
}

// usualMains are the mains there are, Hz; mainsOff is how far off its name one may be, as a share.
var usualMains = []float64{50, 60}

const mainsOff = 0.008

// standsOut is how many times a sound's own mean square a line's must be for it to be called heard: a sixtieth.
const standsOut = 1. / 60

// humAt is where near so many hertz mains hums, by its strongest multiples, and whether it is heard.
func humAt(x []float64, rate, mains float64) (exact float64, stands bool) {
	exact, best := mains, -1.0
	// Twice the mains is the loudest hum; its main lobe is a quarter of a hertz wide over four seconds.
	fine := rate / float64(len(x)) / 10 / (2 * mains)
	for off := -mainsOff; off <= mainsOff; off += fine {
		f := mains * (1 + off)
		a, b := correlate(x, rate, 2*f)
		c, d := correlate(x, rate, f)
		if sum := a*a + b*b + c*c + d*d; sum > best {
			best, exact = sum, f
		}
	}
	all := floats.Dot(x, x) / float64(len(x))
	return exact, best/2 > standsOut*all
}

func spectrumOf(x []float64, rate, mains float64) *spectrum {
	window.BlackmanHarris(x)
	n := len(x)
	// Twice as many bins, so that a line between two is not lost between them.
	padded := make([]float64, 2*n)
	copy(padded, x)
	coefficients := fourier.NewFFT(2*n).Coefficients(nil, padded)
	s := &spectrum{step: rate / float64(2*n)}
	top := min(len(coefficients), int(heardTo/s.step))
	s.power = make([]float64, top)
	for i := range top {
		re, im := real(coefficients[i]), imag(coefficients[i])
		s.power[i] = re*re + im*im
	}
	s.setFloor()
	s.over = make([]float64, top)
	heard := false
	for i := range s.over {
		if s.floor[i] > 0 {
			s.over[i] = s.power[i] / s.floor[i]
			heard = true
		}
		if mains > 0 {
			if off := math.Abs(math.Mod(float64(i)*s.step+mains/2, mains) - mains/2); off < hummed {
				s.over[i] = 1
			}
		}
	}
	if !heard {
		return nil
	}
	s.withoutSkirts()
	return s
}

// A line through the window is lobe bins wide to either side. To tip it is the line itself, beyond it a skirt; what is
// no more than skirtMargin times what a skirt may be is taken for one.
const (
	lobe        = 8
	tip         = 2
	skirtMargin = 1.5
)

// leaks is how much of a line's power stands so many bins beside it, at its top 1.
var leaks = func() (out [lobe + 1]float64) {
	const n = 256
	w := make([]float64, n)
	for i := range w {
		w[i] = 1
	}
	window.BlackmanHarris(w)
	padded := make([]float64, 2*n)
	copy(padded, w)
	for i, c := range fourier.NewFFT(2*n).Coefficients(nil, padded)[:lobe+1] {
		out[i] = real(c)*real(c) + imag(c)*imag(c)
	}
	for i := lobe; i >= 0; i-- {
		out[i] /= out[0]
	}
	return out
}()

// withoutSkirts takes what a strong line lends its neighbours off what they stand over the floor: no other line can be
// told there.
func (s *spectrum) withoutSkirts() {
	was := slices.Clone(s.over)
	for i, over := range was {
		if over < countsFrom {
			continue
		}
		for d := tip + 1; d <= lobe; d++ {
			for _, j := range [2]int{i - d, i + d} {
				// Between two bins a line's top is lower than it is, which the bin short of it makes up for.
				if j >= 0 && j < len(was) && was[j]*leaks[d-1]*skirtMargin > over && was[j] > over {
					s.over[i] = 1
				}
			}
		}
	}
}

// hummed is how near mains, Hz, nothing is believed even after it was taken out.
const hummed = 0.4

// floorWidth is how wide the neighbourhood is whose median is the floor, Hz.
const floorWidth = 40.0

func (s *spectrum) setFloor() {
	half := max(8, int(floorWidth/2/s.step))
	s.floor = make([]float64, len(s.power))
	block := max(1, half/4)
	for from := 0; from < len(s.power); from += block {
		low, high := max(0, from-half), min(len(s.power), from+half)
		around := slices.Clone(s.power[low:high])
		slices.Sort(around)
		// The median of an exponential is ln 2 of its mean.
		level := around[len(around)/2] / math.Ln2
		for i := from; i < min(from+block, len(s.power)); i++ {
			s.floor[i] = level
		}
	}
}

// withoutHum fits mains and its multiples, as sine and cosine, and takes them out: the mains as it is, a little off its
// name.
func withoutHum(x []float64, rate, exact float64) {
	n := len(x)
	for h := 1.0; h*exact < rate/2; h++ {
		a, b := correlate(x, rate, exact*h)
		sinStep, cosStep := math.Sincos(2 * math.Pi * exact * h / rate)
		c, s := 1.0, 0.0
		for i := range n {
			x[i] -= a*c + b*s
			c, s = c*cosStep-s*sinStep, s*cosStep+c*sinStep
		}
	}
}

// correlate is the least-squares cosine and sine of a sound at a frequency. The rotation is carried from sample to
// sample, which is exact enough over some seconds.
func correlate(x []float64, rate, f float64) (a, b float64) {
	sinStep, cosStep := math.Sincos(2 * math.Pi * f / rate)
	c, s := 1.0, 0.0
	for _, v := range x {
		a, b = a+v*c, b+v*s
		c, s = c*cosStep-s*sinStep, s*cosStep+c*sinStep
	}
	n := float64(len(x))
	return 2 * a / n, 2 * b / n
}

// around is the most over its floor near a frequency, to some Hz either side at least a bin, and where that is.
func (s *spectrum) around(f, width float64) (most float64, at int) {
	low, high := int(math.Round((f-width)/s.step)), int(math.Round((f+width)/s.step))
	centre := int(math.Round(f / s.step))
	low, high = min(low, centre-1), max(high, centre+1)
	at = -1
	for i := max(low, 1); i <= high && i < len(s.over); i++ {
		if s.over[i] > most {
			most, at = s.over[i], i
		}
	}
	return most, at
}

// ear lays combs over a spectrum.
type ear struct {
	*spectrum
	Clues
}

// comb is a speed, how well its lines stand out, and once it is chosen how far out it may be.
type comb struct{ f, score, spread float64 }

// evidence is what a line over its floor says for the speed it would belong to; wide is how many bins were looked over
// for it: the more, the higher noise alone reaches.
func evidence(over float64, wide float64) float64 {
	threshold := countsFrom + math.Log(max(wide, 1))
	if over <= threshold {
		return 0
	}
	return min(0.7*math.Log(over/threshold)+0.5, mostOfOne)
}

// score is how well the lines of a speed stand out.
func (e *ear) score(f float64) float64 { return e.own(f) + e.others(f) }

// own is how well a speed's own line and its multiples stand out.
func (e *ear) own(f float64) float64 {
	total := 0.0
	for h := 1; h <= mostHarmonic; h++ {
		at := f * float64(h)
		if at > heardTo {
			break
		}
		over, _ := e.around(at, 0)
		here := evidence(over, 2) / math.Sqrt(float64(h))
		if here == 0 && e.over[int(at/e.step)] != 1 {
			if h == 1 {
				here = -missing
			} else {
				here = -missingWeak
			}
		}
		total += here
	}
	return total
}

// others is how well what else turns with a speed stands out: blades, teeth, spindle and belts.
func (e *ear) others(f float64) float64 {
	total := 0.0
	for _, times := range e.PerTurn {
		if at := f * times; at < heardTo {
			over, _ := e.around(at, 0)
			total += evidence(over, 2)
		}
	}
	slipping := func(times float64, upTo int) {
		for h := 1; h <= upTo; h++ {
			at := f * times * float64(h)
			if at > heardTo || at < 0.5 {
				continue
			}
			width := slipAllowed * at
			over, _ := e.around(at, width)
			here := 0.7 * evidence(over, 2*width/e.step) / math.Sqrt(float64(h))
			if here == 0 {
				here = -missingWeak / 2
			}
			total += here
		}
	}
	if e.Spindle > 0 && math.Abs(e.Spindle-1) > 0.03 {
		slipping(e.Spindle, 3)
	}
	for _, b := range e.Belts {
		slipping(b, 3)
	}
	return total
}

// Where half or twice a speed fits nearly as well: by how much less what else turns may speak for it, and what share of
// the best it must come to.
const (
	octaveBy    = 1.0
	octaveShare = 0.3
)

// mayBeOctave reports whether half or twice a speed may be the true one: what sounds twice a turn, or every other turn,
// gives the same lines, and only what else turns with it tells them apart.
func (e *ear) mayBeOctave(best comb) bool {
	for _, times := range [2]float64{0.5, 2} {
		f := best.f * times
		if f < e.Low*(1-sameSpeed) || f > e.High*(1+sameSpeed) {
			continue
		}
		f = e.nearby(f)
		if e.others(f) > e.others(best.f)-octaveBy && e.score(f) > octaveShare*best.score {
			return true
		}
	}
	return false
}

// nearby is the speed within what a line is wide that scores most.
func (e *ear) nearby(f float64) float64 {
	best, most := f, math.Inf(-1)
	for off := -lobe / 2; off <= lobe/2; off++ {
		at := f + float64(off)*e.step/4
		if score := e.score(at); score > most {
			best, most = at, score
		}
	}
	return best
}

// mostHumPart is up to which part and multiple of a hum a speed is not told from it.
const mostHumPart = 4

// mayBeHum reports whether a speed is a simple part or multiple of a mains that is heard, told or not: its lines may be
// the hum's.
func (e *ear) mayBeHum(f float64) bool {
	for _, hum := range e.hums {
		for part := 1.0; part <= mostHumPart; part++ {
			for times := 1.0; times <= mostHumPart; times++ {
				if math.Abs(f*part/(hum*times)-1) < humNear {
					return true
				}
			}
		}
	}
	return false
}

// humNear is how near, as a share.
const humNear = 0.004

// search tries every speed the clues allow, in steps finer than its highest line is wide.
func (e *ear) search() (best, runner comb) {
	var all []comb
	best.score = math.Inf(-1)
	for f := e.Low; f <= e.High; {
		c := comb{f: f, score: e.score(f)}
		all = append(all, c)
		if c.score > best.score {
			best = c
		}
		f += min(0.35*e.step*2, f*0.002)
	}
	best.f, best.spread = e.refine(best.f)
	runner.score = math.Inf(-1)
	// Two speeds whose own lines are one line here are one speed.
	same := max(sameSpeed*best.f, lobe*e.step)
	for _, c := range all {
		if math.Abs(c.f-best.f) > same && c.score > runner.score {
			runner = c
		}
	}
	if math.IsInf(runner.score, -1) {
		runner = comb{}
	}
	return best, runner
}

// peak is where between bins a line is, Hz, by a parabola through the logarithms of three.
func (s *spectrum) peak(at int) float64 {
	if at < 1 || at+1 >= len(s.power) {
		return float64(at) * s.step
	}
	a, b, c := math.Log(s.power[at-1]+1e-300), math.Log(s.power[at]+1e-300), math.Log(s.power[at+1]+1e-300)
	d := a - 2*b + c
	if d >= 0 {
		return float64(at) * s.step
	}
	return (float64(at) + 0.5*max(-1, min(1, (a-c)/d))) * s.step
}

// top climbs from a bin to the top of the line it belongs to.
func (s *spectrum) top(bin int) int {
	for range tip + 1 {
		switch {
		case bin+1 < len(s.power) && s.power[bin+1] > s.power[bin]:
			bin++
		case bin > 0 && s.power[bin-1] > s.power[bin]:
			bin--
		}
	}
	return bin
}

// line is where a line's power is centred, Hz, and how much wider it is to either side than the window makes it: a
// speed that wanders while it is listened to smears its lines.
func (s *spectrum) line(bin int) (at, smeared float64) {
	bin = s.top(bin)
	least := max(s.power[bin]/10, countsFrom*s.floor[bin])
	own := 0
	for own < lobe && leaks[own+1]*s.power[bin] > least {
		own++
	}
	widest := max(lobe, int(mostWander*float64(bin)))
	end := func(way int) int {
		last := bin
		for i := bin; i > 0 && i < len(s.power) && (i-last)*way <= lobe && (i-bin)*way <= widest; i += way {
			if s.power[i] > least {
				last = i
			}
		}
		return last
	}
	from, to := end(-1), end(1)
	wider := float64(to-from)/2 - float64(own)
	if wider <= 1 {
		return s.peak(bin), 0
	}
	sum, moment := 0.0, 0.0
	for i := from; i <= to; i++ {
		sum, moment = sum+s.power[i], moment+s.power[i]*float64(i)
	}
	return moment / sum * s.step, wider * s.step
}

// mostWander is how far a speed may wander while it is listened to, as a share of it, and still be one.
const mostWander = 0.02

// refine is the speed its own lines make together, each as sure as it stands out and the surer the higher it is; and
// how far out it may be: by the noise, by how far its lines are smeared, and by how far they are from each other.
func (e *ear) refine(f float64) (speed, spread float64) {
	var places, weights []float64
	smeared := 0.0
	add := func(times float64) {
		at := f * times
		if at > heardTo {
			return
		}
		over, bin := e.around(at, 0)
		if bin < 0 || over < countsFrom {
			return
		}
		// A line's place is as sure as its width over the root of how far it stands out [Rife and Boorstyn].
		off := 2 * e.step / math.Sqrt(over) / times
		place, wider := e.line(bin)
		places, weights = append(places, place/times), append(weights, 1/(off*off))
		smeared = max(smeared, wider/times)
	}
	for h := 1; h <= mostHarmonic; h++ {
		add(float64(h))
	}
	for _, times := range e.PerTurn {
		add(times)
	}
	if len(places) == 0 {
		return f, sameSpeed * f
	}
	speed = stat.Mean(places, weights)
	for _, place := range places {
		smeared = max(smeared, math.Abs(place-speed))
	}
	// A machine that seems not to wander while it is listened to still does a little.
	return speed, within(math.Sqrt(1/floats.Sum(weights)), 0) + smeared + 0.0005*f
}

// linesAt are the lines a speed was heard by.
func (e *ear) linesAt(f float64) []SoundLine {
	out := []SoundLine{}
	add := func(at, width float64, what string) {
		over, bin := e.around(at, width)
		if bin >= 0 && over > countsFrom {
			out = append(out, SoundLine{e.peak(bin), what, 10 * math.Log10(over)})
		}
	}
	for h := 1; h <= 4; h++ {
		what := "turns"
		if h > 1 {
			what = fmt.Sprintf("%d × turns", h)
		}
		add(f*float64(h), 0, what)
	}
	for _, times := range e.PerTurn {
		add(f*times, 0, q.Figures(times, 4)+" a turn")
	}
	if e.Spindle > 0 && math.Abs(e.Spindle-1) > 0.03 {
		add(f*e.Spindle, slipAllowed*f*e.Spindle, "spindle")
	}
	for _, b := range e.Belts {
		add(f*b, slipAllowed*f*b, "belt")
	}
	return out
}

// drawnBins is how many places a spectrum is drawn at.
const drawnBins = 360

// drawn is the spectrum up to where most of it is, the highest of each stretch.
func (s *spectrum) drawn() (hertz, level []float64) {
	top := min(len(s.over), int(400/s.step))
	each := max(1, top/drawnBins)
	for from := 1; from < top; from += each {
		most := 0.0
		for i := from; i < min(from+each, top); i++ {
			most = max(most, s.power[i]/s.floor[i])
		}
		hertz = append(hertz, math.Round(100*(float64(from)+float64(each)/2)*s.step)/100)
		level = append(level, math.Round(100*max(0, 10*math.Log10(most+1e-9)))/100)
	}
	return hertz, level
}
