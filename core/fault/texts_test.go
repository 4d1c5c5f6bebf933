package fault

import (
	"regexp"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/reduction"
)

// wants is what a line must have for a word to be said of it, told apart from the program's own table of what a text
// stands or falls with.
type wants struct {
	word *regexp.Regexp
	has  func(p *plan.Input) bool
}

func word(expression string, has func(p *plan.Input) bool) wants {
	return wants{regexp.MustCompile(`(?i)` + expression), has}
}

func controlIs(list ...control.Kind) func(p *plan.Input) bool {
	return func(p *plan.Input) bool {
		for _, k := range list {
			if p.Plan.Control.Kind == k {
				return true
			}
		}
		return p.Plan.Control.Kind == ""
	}
}

func motorIs(list ...motor.Kind) func(p *plan.Input) bool {
	return func(p *plan.Input) bool {
		for _, k := range list {
			if p.Plan.Motor.Kind == k {
				return true
			}
		}
		return p.Plan.Motor.Kind == ""
	}
}

func stageIs(list ...reduction.Kind) func(p *plan.Input) bool {
	return func(p *plan.Input) bool {
		for _, s := range p.Plan.Reduction.Stages {
			for _, k := range append(list, reduction.Given) {
				if s.Kind == k {
					return true
				}
			}
		}
		return len(p.Plan.Reduction.Stages) == 0
	}
}

func either(list ...func(p *plan.Input) bool) func(p *plan.Input) bool {
	return func(p *plan.Input) bool {
		for _, has := range list {
			if has(p) {
				return true
			}
		}
		return false
	}
}

func both(a, b func(p *plan.Input) bool) func(p *plan.Input) bool {
	return func(p *plan.Input) bool { return a(p) && b(p) }
}

var (
	aDrive = controlIs(control.PhaseAngle, control.Chopper, control.Inverter, control.SinglePhaseInverter,
		control.BrushlessDrive, control.StepperDriver)
	directDrive = controlIs(control.PhaseAngle, control.Chopper)
	anInverter  = controlIs(control.Inverter, control.SinglePhaseInverter)
	mains       = func(p *plan.Input) bool { return p.Plan.Supply.Phases != "dc" }
	threeLines  = func(p *plan.Input) bool { return p.Plan.Supply.Phases == "3" }
	oneSocket   = func(p *plan.Input) bool { return mains(p) && !threeLines(p) }
	anyBelt     = stageIs(reduction.VBelt, reduction.LinkBelt, reduction.PolyV, reduction.Flat, reduction.Toothed)
	withBrushes = motorIs(motor.PermanentMagnetDC, motor.WoundDC, motor.Universal)
	withBand    = func(p *plan.Input) bool { return p.Machine.Kind == "belt-sander" || p.Machine.Kind == "bandsaw" }
	onOnePhase  = motorIs(motor.SplitPhase, motor.CapacitorStart, motor.CapacitorRun, motor.PermanentSplit,
		motor.TwoSpeed)
	ownGears = func(p *plan.Input) bool {
		g := p.Plan.Motor.Gearbox.Sort
		return g != "" && g != "none" || p.Plan.Motor.Kind == ""
	}
	hasTacho     = func(p *plan.Input) bool { return p.Plan.Control.Feedback == "tacho" }
	thermalWired = func(p *plan.Input) bool {
		return p.Plan.Motor.ThermalSwitch != "none" && p.Plan.Motor.ThermalSwitch != "left-out"
	}
)

// words are those that only some lines may be told.
var lineWords = []wants{
	word(`\bbelts?\b|pulley`, either(anyBelt, withBand)),
	word(`\bchain\b|sprocket`, stageIs(reduction.Chain)),
	word(`\bgears?\b|gearbox`, either(ownGears, stageIs(reduction.Spur, reduction.Worm))),
	word(`lower gear|another step|count the steps`, func(p *plan.Input) bool {
		s := p.Plan.Reduction.Stages
		return len(s) == 0 || len(s) > 1 || len(s[0].Steps) > 1
	}),
	word(`coupling`, either(stageIs(reduction.Direct), hasTacho)),
	word(`\bknob`, both(func(p *plan.Input) bool { return p.Plan.Control.Knob == "" || p.Plan.Control.Knob == "pot" },
		either(directDrive, anInverter, controlIs(control.BrushlessDrive)))),
	word(`\bdrive\b|drive's|enable|settings sheet|current limit`, aDrive),
	word(`inverter|hertz`, anInverter),
	word(`\btrims?\b|thyristor|\bIR\b|plug-in`, directDrive),
	word(`\bramps?\b|acceleration|deceleration`, aDrive),
	word(`armature fuse`, both(either(directDrive, controlIs(control.VariableTransformer, control.SeriesResistor)),
		withBrushes)),
	word(`brush|commutator|armature|sparks`, either(withBrushes, controlIs(control.VariableTransformer))),
	word(`pull the plug|unplug|plug out|the plug's`, mains),
	word(`earth\b|earthed|licensed electrician`, mains),
	word(`residual`, func(p *plan.Input) bool { return mains(p) && p.Plan.Supply.Residual != "none" }),
	word(`\bsocket`, oneSocket), word(`\blamp\b`, oneSocket),
	word(`battery`, func(p *plan.Input) bool { return !mains(p) }),
	word(`\bphases?\b`, either(threeLines, motorIs(motor.ThreePhase, motor.Stepper))),
	word(`start winding|start switch`, either(onOnePhase, motorIs(motor.SplitPhase))),
	word(`start capacitor`, motorIs(motor.CapacitorStart, motor.CapacitorRun)),
	word(`run capacitor`, motorIs(motor.PermanentSplit, motor.CapacitorRun)),
	word(`thermal switch`, thermalWired),
	word(`hall|sensor`, both(controlIs(control.BrushlessDrive), hasTacho)),
	word(`tachometer's|tachometer lead|tachometer slips`, hasTacho),
	word(`magnet`, motorIs(motor.PermanentMagnetDC, motor.Brushless, motor.Stepper, motor.Servo)),
	word(`clutch`, func(p *plan.Input) bool { return p.Plan.Motor.Clutch.Fitted }),
	word(`reversing switch`, func(p *plan.Input) bool {
		return p.Plan.Control.Reverse == "switch" || p.Plan.Control.Reverse == "drive"
	}),
	word(`brake resistor`, anInverter), word(`shading`, motorIs(motor.ShadedPole)),
	word(`variable transformer|transformer's`, controlIs(control.VariableTransformer)),
	word(`through its speeds|one speed only`, either(aDrive, controlIs(control.VariableTransformer,
		control.SeriesResistor,
		control.CapacitorSet), motorIs(motor.TwoSpeed), func(p *plan.Input) bool {
		s := p.Plan.Reduction.Stages
		return len(s) == 0 || len(s) > 1 || len(s[0].Steps) > 1
	})),
	word(`pulse lead|\bsteps\b.*place|loses? steps|step driver`, motorIs(motor.Stepper)),
}

// textsOf is all that can be said of a line when something is wrong with it, each with where it stands.
func textsOf(v *view) map[string][]string {
	out := map[string][]string{}
	for _, s := range v.symptoms() {
		out["symptom "+s.ID] = []string{s.Words, s.Stop}
	}
	for i := range tests {
		if !tests[i].has(v) {
			continue
		}
		one := tests[i].told(v)
		list := []string{one.Name, one.First, one.How, one.Expect}
		for _, o := range one.Outcomes {
			list = append(list, o.Words, o.Means)
		}
		out["test "+one.ID] = list
	}
	for _, c := range v.possible {
		told := c.told(v)
		out["cause "+c.ID] = []string{told.Words, told.Mend, told.Replace, told.Part}
	}
	return out
}

// Whatever is asked or said of a line is of what that line has.
func TestTextsAreOfWhatTheLineHas(t *testing.T) {
	said, found := map[string]bool{}, map[string][]int{}
	in := func(text string) []int {
		if _, known := found[text]; !known {
			found[text] = []int{}
			for i, w := range lineWords {
				if w.word.MatchString(text) {
					found[text] = append(found[text], i)
				}
			}
			assert.NotRegexp(t, `[{}|]|\s[.,;]|  |\(\)|\.\.|^[.,;]|,[.]|NaN|Inf`, text)
		}
		return found[text]
	}
	lines := plantest.Sounds()
	for i := range plantest.Sounds() {
		// Of a plan of which some is not said yet anything can be.
		half := plantest.Copied(lines[i].Input)
		switch i % 3 {
		case 0:
			half.Plan.Control.Kind = ""
		case 1:
			half.Plan.Motor.Kind = ""
		default:
			half.Plan.Reduction.Stages = nil
		}
		lines = append(lines, plantest.Named{What: lines[i].What + ", half said", Input: half})
	}
	for _, one := range lines {
		v := must(t, one.Input)
		for where, list := range textsOf(v) {
			for _, text := range list {
				for _, i := range in(text) {
					if !lineWords[i].has(&one.Input) && !said[text] {
						said[text] = true
						assert.Fail(t, "a word of what it has not", "%s: %s says %v: %s", one.What, where,
							lineWords[i].word,
							text)
					}
				}
			}
		}
	}
}

// Every part of a text that stands or falls with something stands or falls with something that is known.
func TestTextsStandOrFallWithWhatIsKnown(t *testing.T) {
	look := func(text, where string) {
		for _, m := range given.FindAllStringSubmatch(text, -1) {
			assert.Contains(t, mentioned, m[2], "%s: %s", where, text)
		}
		assert.NotRegexp(t, `[{}]`, given.ReplaceAllString(text, ""), where)
	}
	for _, c := range causes {
		look(c.Words+c.Mend+c.Replace, c.ID)
	}
	for i := range tests {
		look(tests[i].Name+tests[i].How, tests[i].ID)
		for _, o := range tests[i].Outcomes {
			look(o.Words+o.Means, tests[i].ID+" "+o.ID)
		}
	}
	for _, text := range []string{unasked, unplugged, isolated, shut, meterOn, turnsRound} {
		look(text, "first")
	}
}

// Leads are exchanged only where that turns this motor round, as its kind wants it, marked first, and never with Hall
// sensors.
func TestLeadsAreExchangedOnlyWhereThatTurnsIt(t *testing.T) {
	mend := func(what string) (Cause, bool) {
		v := must(t, lineOf(t, what))
		for _, c := range v.possible {
			if c.ID == "leads-crossed" {
				return c.told(v), true
			}
		}
		return Cause{}, false
	}
	for what, says := range map[string]string{
		"lathe on three phases": "any two of its three leads", "potter's wheel, ½ hp at 180 V": "the two armature " +
			"leads",
		"wound field on a lathe": "leave the field's", "power hacksaw": "two ends of the start winding",
		"stepper on an axis": "the two ends of one winding", "series motor switched, never without its " +
			"load": "leave the field's",
	} {
		c, can := mend(what)
		require.True(t, can, what)
		assert.Contains(t, c.Mend, says, what)
		assert.Contains(t, c.Mend, "marked and photographed", what)
		assert.NotContains(t, c.Mend, "choose it in the plan", what)
	}
	for _, what := range []string{"hub motor on 36 V, a mixer", "little shaded-pole fan", "servo on an indexer"} {
		_, can := mend(what)
		assert.False(t, can, what)
	}
	in := lineOf(t, "lathe on three phases")
	in.Plan.Motor.Kind = ""
	for _, c := range must(t, in).possible {
		if c.ID == "leads-crossed" {
			assert.Contains(t, c.told(must(t, in)).Mend, "choose it in the plan")
		}
	}
	for _, c := range causes {
		assert.NotRegexp(t, `(?i)swap`, c.Mend+c.Replace, c.ID)
	}
}
