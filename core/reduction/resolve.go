package reduction

import (
	"fmt"
	"math"
	"strings"

	q "jiriki/core/quantity"
)

// Resolved is a reduction with its stages and every position they can be set to.
type Resolved struct {
	Stages    []Stage
	Positions []Position
	Missing   string // field still to fill; empty when the reduction can be used
	Measured  Measured
}

// Measured are two speeds read together, rad/s; zero when not both are known.
type Measured struct {
	Motor, Spindle float64
	Position       int
}

// Stage is one pair of shafts, resolved. Lengths in metres.
type Stage struct {
	Kind       Kind
	Section    string
	Steps      []Step
	Centre     float64 // 0 when neither centre nor belt is known
	Belt       float64 // pitch length; 0 likewise
	FromBelt   bool    // Centre was worked out from a belt length
	TakeUp     float64 // how far the shafts can be moved apart; 0 when not known
	Direction  float64 // of the driven shaft from the driving one, rad
	Pitch      float64 // of teeth, or module
	Count      float64 // belts, ribs or strands
	Width      float64 // of a flat or toothed belt, or a gear's face
	Curved     bool    // teeth of a toothed belt with curved flanks
	Material   string  // of gears: steel, hardened, iron, bronze or nylon
	Lead       float64 // of a worm, rad
	Efficiency float64 // efficiency
	Slip       float64 // share of speed lost
	Rated      float64 // N·m at the driven shaft by its maker; 0 when not known
	Assumed    string  // what the rating takes for granted, in words; empty when all was given
	Untold     string  // which entry of gears' teeth, "pitch" or "material", nobody made; empty when both are
	Bypass     bool
	ScrewOn    bool
	Guarded    bool
	OnDriving  Fit
	OnDriven   Fit

	weak weaknesses
}

// Step is one pair on a stage. Diameters are pitch diameters in metres.
type Step struct {
	Driver, Driven float64
	Ratio          float64    // driver speed over driven speed, slip included
	Wrap           float64    // on the small pulley, rad; π when the centre is not known
	Length         float64    // belt this step needs on the stage's centre, m; 0 unknown
	Teeth          bool       // counted in teeth, a worm in starts
	Counts         [2]float64 // those of driver and driven
	Pull           Pull       // what its belt or chain carries
}

// Fit is a wheel on its shaft. Lengths in metres, 0 when not known.
type Fit struct {
	Shaft, Bore, Hub float64
	Out              float64 // m from the nearest bearing to the wheel's middle; 0 when not known
	Held             string
}

// Bounds on one reduction.
const (
	maxStages    = 6
	maxSteps     = 6
	maxPositions = 24
)

// Resolve reads a described reduction, refusing on r what cannot be used. No stages at all is one that nobody said
// anything of yet: it has no positions, and a motor coupled straight to the spindle is a stage of its own. motorShaft
// (m, 0 unknown) is the shaft of the first wheel
// unless it is given; gear is how often the rotor turns to one of that shaft, which speeds read together are told by.
func Resolve(d Described, motorShaft, gear float64, r *q.Reader) Resolved {
	var out Resolved
	if len(d.Stages) > maxStages {
		r.Refuse("stages", fmt.Sprint(len(d.Stages)), fmt.Sprintf("at most %d stages", maxStages))
		out.Missing = "stages"
		return out
	}
	if len(d.Stages) == 0 {
		out.Missing = "stages"
		return out
	}
	shaft, count := motorShaft, 1
	for i, ds := range d.Stages {
		at := r.At("stages", i)
		s, missing := resolveStage(ds, shaft, at)
		if missing != "" && out.Missing == "" {
			out.Missing = fmt.Sprintf("stages[%d].%s", i, missing)
		}
		s.name(i+1, len(d.Stages))
		out.Stages = append(out.Stages, s)
		shaft = s.OnDriven.Shaft
		settings := len(s.Steps)
		if s.Bypass {
			settings++
		}
		if count *= max(settings, 1); count > maxPositions {
			at.Refuse("steps", fmt.Sprint(len(ds.Steps)), fmt.Sprintf("more than %d belt positions in all",
				maxPositions))
			out.Missing = fmt.Sprintf("stages[%d].steps", i)
			return out
		}
	}
	if out.Missing == "" {
		out.Positions = Positions(out.Stages)
	}
	if d.Speeds == (MeasuredSpeeds{}) {
		return out
	}
	speeds := r.Under("speeds")
	top := q.Range{Min: 0.1 * q.RPM, Max: 60000 * q.RPM}
	motor, spindle := speeds.Read("motor", d.Speeds.Motor, q.Speed, top),
		speeds.Read("spindle", d.Speeds.Spindle, q.Speed, top)
	if motor.Known && spindle.Known {
		out.Measured = Measured{motor.SI, spindle.SI, min(max(d.Speeds.Position, 0), max(len(out.Positions)-1, 0))}
		if len(out.Positions) > 0 {
			out.Positions[out.Measured.Position].takeMeasured(motor.SI / spindle.SI / gear)
		}
	}
	return out
}

func resolveStage(d DescribedStage, shaft float64, r *q.Reader) (s Stage, missing string) {
	s.Kind = Kind(r.Choice("kind", string(d.Kind), string(VBelt), kinds.Names()...))
	s.Efficiency, s.Slip = s.Kind.Profile().Efficiency, s.Kind.Profile().Slip
	s.ScrewOn, s.Guarded, s.Bypass = d.ScrewOn, d.Guarded, d.Bypass && s.Kind == Spur
	s.Direction = r.Read("direction", d.Direction, q.Angle, q.Range{Min: -2 * math.Pi, Max: 2 * math.Pi}).Or(0)
	// What is left of another kind of stage and has no place in this one is not judged.
	switch s.Kind {
	case Given:
		d.OnDriving, d.OnDriven, shaft = DescribedFit{}, DescribedFit{}, 0
	case Direct:
		d.OnDriven = DescribedFit{}
	}
	s.fits(d, shaft, r)
	if s.Kind == Direct {
		s.Steps = []Step{{Driver: coupling, Driven: coupling, Ratio: 1, Wrap: math.Pi}}
		return s, ""
	}
	if s.Kind == Given {
		return s, s.given(d, r)
	}
	s.Section = sectionOf(s.Kind, r.Choice("section", d.Section, "", "Z", "A", "B", "J", "K", "L"))
	outside := r.Choice("measured", d.Measured, "pitch", "pitch", "outside") == "outside"
	s.measures(d, r)
	centre := r.Read("centre", d.Centre, q.Length, q.Range{Min: 5e-3, Max: 10})
	belt := r.Read("belt", d.Belt, q.Length, q.Range{Min: 50e-3, Max: 30})
	s.TakeUp = r.Read("takeUp", d.TakeUp, q.Length, q.Range{Min: 0, Max: 1}).Or(0)
	s.Rated = r.Read("rated", d.Rated, q.Torque, q.Range{Min: 0.01, Max: 1e5}).Or(0)
	if len(d.Steps) > maxSteps {
		r.Refuse("steps", fmt.Sprint(len(d.Steps)), fmt.Sprintf("at most %d steps", maxSteps))
		return s, "steps"
	}
	for i, ds := range d.Steps {
		at := r.At("steps", i)
		step, lacking := s.resolveStep(ds, at, outside)
		if lacking != "" && missing == "" {
			missing = fmt.Sprintf("steps[%d].%s", i, lacking)
		}
		s.Steps = append(s.Steps, step)
	}
	if len(d.Steps) == 0 {
		return s, "steps[0].driver"
	}
	if missing != "" {
		return s, missing
	}
	if s.Kind == Worm {
		lead := r.Read("lead", d.Lead, q.Angle, q.Range{Min: math.Pi / 180, Max: math.Pi / 4})
		s.Lead = lead.Or(wormLead(s.Steps[0].Counts[0]))
		s.Efficiency = WormEfficiency(s.Lead)
	}
	s.place(d, centre, belt, r)
	return s, ""
}

// fits reads how the stage's wheels sit on their shafts; the driving wheel's shaft is the one
// before it unless given.
func (s *Stage) fits(d DescribedStage, shaft float64, r *q.Reader) {
	read := func(part string, fit DescribedFit, shaft float64) Fit {
		if fit == (DescribedFit{}) {
			return Fit{Shaft: shaft}
		}
		at := r.Under(part)
		sizes := q.Range{Min: 2e-3, Max: 0.3}
		return Fit{
			Shaft: at.Read("shaft", fit.Shaft, q.Length, sizes).Or(shaft),
			Bore:  at.Read("bore", fit.Bore, q.Length, sizes).Or(0),
			Hub:   at.Read("hub", fit.Hub, q.Length, sizes).Or(0),
			Out:   at.Read("out", fit.Out, q.Length, q.Range{Min: 1e-3, Max: 1}).Or(0),
			Held:  at.Choice("held", fit.Held, "", "key", "screw", "taper", "pin"),
		}
	}
	s.OnDriving, s.OnDriven = read("onDriving", d.OnDriving, shaft), read("onDriven", d.OnDriven, 0)
}

// What is taken where it was not given: pitches as they come most often, and belts of usual
// width [common practice].
const (
	usualToothPitch = 5e-3
	usualChainPitch = 12.7e-3
	usualModule     = 1.5e-3
	usualRibs       = 6.0
	usualFlatWidth  = 40e-3
)

// measures reads pitch, count and width, and notes what a rating takes for granted without them.
func (s *Stage) measures(d DescribedStage, r *q.Reader) {
	pitch := s.readPitch(d.Pitch, r)
	count := r.Read("count", d.Count, q.Number, q.Range{Min: 1, Max: 40})
	width := r.Read("width", d.Width, q.Length, q.Range{Min: 2e-3, Max: 0.5})
	s.Count = count.Or(1)
	switch s.Kind {
	case PolyV:
		if s.Count = count.Or(usualRibs); !count.Known {
			s.Assumed = "Six ribs taken"
		}
	case Flat:
		if s.Width = width.Or(usualFlatWidth); !width.Known {
			s.Assumed = "A belt 40 mm wide taken"
		}
	case Toothed:
		s.Curved = r.Choice("teeth", d.Teeth, "straight", "straight", "curved") == "curved"
		s.Pitch = pitch.Or(usualToothPitch)
		if s.Width = width.Or(3 * s.Pitch); !width.Known {
			s.Assumed = "A belt three pitches wide taken"
		}
		if !pitch.Known {
			s.Assumed = "Pitch of 5 mm taken"
		}
	case Chain:
		if s.Pitch = pitch.Or(usualChainPitch); !pitch.Known {
			s.Assumed = "Chain of 12.7 mm pitch taken"
		}
	case Spur:
		s.Pitch = pitch.Or(usualModule)
		s.Material = r.Choice("material", d.Material, usualGear, "steel", "hardened", "iron", "bronze", "nylon")
		s.Width = width.Or(usualFaceModules * s.Pitch)
		var taken []string
		if d.Material == "" {
			taken, s.Untold = append(taken, "mild steel"), "material"
		}
		if !width.Known {
			taken = append(taken, "faces ten modules wide")
		}
		if !pitch.Known {
			taken, s.Untold = append(taken, "module of 1.5 mm"), "pitch"
		}
		if len(taken) > 0 {
			s.Assumed = "Taken: " + strings.Join(taken, ", ")
		}
	case Worm:
		s.Pitch = pitch.Or(usualModule)
		s.Width = width.Or(faceOfWorm * wormAcross * s.Pitch)
		s.Assumed = "Hardened steel worm on a bronze wheel, oiled"
	}
}

// place finds centre, belt and wrap from whichever of centre and belt length is given. The
// first step sets them; the others show the length they would need.
func (s *Stage) place(d DescribedStage, centre, belt q.Value, r *q.Reader) {
	first := s.Steps[0]
	switch {
	case s.Meshed():
		s.Centre = (first.Driver + first.Driven) / 2
	case centre.Known:
		s.Centre = centre.SI
		for i, step := range s.Steps {
			// Pulleys may not touch; gears are the only pair that do.
			if least := (step.Driver + step.Driven) / 2; s.Centre <= least {
				r.Refuse("centre", string(d.Centre), fmt.Sprintf("the pulleys of step %d would touch: more than %s "+
					"is needed", i+1, q.Show(least, q.Length, q.Metric)))
				s.Centre = 0
				break
			}
		}
	case belt.Known:
		c, ok := CentreFor(first.Driver, first.Driven, belt.SI)
		if !ok {
			r.Refuse("belt", string(d.Belt), fmt.Sprintf("too short to go round both pulleys: more than %s is needed",
				q.Show(shortestBelt(first.Driver, first.Driven), q.Length, q.Metric)))
			break
		}
		s.Centre, s.FromBelt = c, true
	}
	for i := range s.Steps {
		s.Steps[i] = s.placed(s.Steps[i])
	}
	if s.Centre > 0 && !s.Meshed() {
		s.Belt = s.Steps[0].Length
	}
}

// placed is a step on the stage's centres: its wrap, belt length and what its belt carries.
func (s *Stage) placed(step Step) Step {
	step.Wrap, step.Length = math.Pi, 0
	if s.Centre > math.Abs(step.Driven-step.Driver)/2 && !s.Meshed() {
		step.Wrap = Wrap(step.Driver, step.Driven, s.Centre)
		step.Length = OpenBelt(step.Driver, step.Driven, s.Centre)
		if s.Kind == Chain {
			step.Length = s.Pitch * ChainLength(s.teeth(step.Driver), s.teeth(step.Driven), s.Centre/s.Pitch)
		}
	}
	step.Pull = s.pullOf(step)
	return step
}

// Resize returns a step of the stage with its wheels changed to other pitch diameters (m); not for a worm,
// whose ratio is not one of diameters.
func (s *Stage) Resize(step Step, driver, driven float64) Step {
	step.Driver, step.Driven = driver, driven
	step.Ratio = driven / driver / (1 - s.Slip)
	if step.Teeth {
		step.Counts = [2]float64{s.teeth(driver), s.teeth(driven)}
		step.Ratio = step.Counts[1] / step.Counts[0]
	}
	return s.placed(step)
}
