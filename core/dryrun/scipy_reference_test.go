package dryrun

import (
	"encoding/json"
	"flag"
	"math"
	"os"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/thermal"
)

// made is where the constants of the reference's machines are written for scripts/reference/scipy_dryrun.py.
var made = flag.String("machines", "", "write the constants of the reference's machines to this file")

// constants is what a machine's equations hold, as the reference takes them.
type constants struct {
	Plan, Sort                             string
	Rotor, Rest, Turns, Keeps              float64
	Running, Resting, Jam                  float64
	Air, Limit, Speed, Cooled              float64
	OwnFan                                 bool
	Bodies                                 thermal.Bodies
	Ke, R, Friction, Volts, Inside, Amps   float64
	Fades                                  bool
	K, X, Full                             float64
	Sync, Slip, BreakdownSlip              float64
	Breakdown, Start, Torque, Idle, Inrush float64
	Stator, Iron                           float64
}

// Times of the reference's script, s: the load comes on, is off, the motor is let go.
const (
	jamsAt, freesAt, letsGoAt = 3.0, 5.0, 7.0
)

// references are the sound plans that are run beside SciPy, and the load that comes on, N·m at the spindle as a share
// of the motor's torque there.
var references = []struct {
	plan, sort string
	load       float64
}{
	{"winch motor straight on 12 V", "dc", 0.7},
	{"series motor switched, never without its load", "series", 0.8},
	{"lathe on three phases", "line", 1.2},
	{"power hacksaw", "line", 0.9},
}

// restsAt is what a battery or a socket has with nothing on it, V.
func restsAt(m *machine) float64 {
	if m.Supply.Battery {
		return m.Supply.Volts
	}
	return m.Feed.Volts
}

// referenceRun is a machine of the reference and its script.
func referenceRun(t testing.TB, what, sort string, load float64) (*machine, *script.Resolved, constants) {
	t.Helper()
	for _, one := range plantest.Sounds() {
		if one.What != what {
			continue
		}
		in := one.Input
		_, model, err := prepare(&in)
		require.NoError(t, err)
		m := newMachine(model, &script.Resolved{})
		jam := load * model.Motor.Torque.Value * m.turns * m.keeps
		s := script.Resolved{
			Events: []script.Timed{
				{At: 0, Does: script.On, Job: -1, Entry: 0, Share: q.Value{SI: 1, Known: true}},
				{At: jamsAt, Does: script.Jam, Job: -1, Entry: 1, Torque: q.Value{SI: jam, Known: true}},
				{At: freesAt, Does: script.Free, Job: -1, Entry: 2},
				{At: letsGoAt, Does: script.Coast, Job: -1, Entry: 3},
			},
			Friction: q.Value{SI: 0.04 * jam, Known: true},
		}
		m = newMachine(model, &s)
		m.inputs.breaker, m.overload, m.slips = 0, false, false // nothing gives way
		d := &model.Motor
		rated := d.Power.Value
		beside := max(rated*(1/d.Efficiency.Value-1)-d.Induction.Slip/(1-d.Induction.Slip)*rated, 0.02*rated)
		return m, &s, constants{
			Plan: what, Sort: sort, Rotor: m.rotor, Rest: m.rest, Turns: m.turns, Keeps: m.keeps, Running: m.running,
			Resting: m.resting, Jam: jam, Air: m.ambient, Limit: m.limit, Speed: d.Speed.Value, Cooled: m.cooled,
			OwnFan: d.Cooling == "own-fan", Bodies: m.bodies,
			Ke: d.DC.Ke.Value, R: d.DC.Resistance.Value + d.Series.Resistance.Value,
			Friction: d.DC.Friction.Value + d.Series.Friction.Value, Volts: restsAt(m), Inside: m.Supply.Inside,
			Amps: d.Amps.Value, Fades: d.Kind.Magnets(), K: d.Series.K.Value, X: d.Series.Reactance.Value,
			Full: 1.5 * d.Amps.Value, Sync: m.field, Slip: d.Induction.Slip, BreakdownSlip: d.Induction.BreakdownSlip,
			Breakdown: d.Induction.Breakdown, Start: d.Induction.Start, Torque: d.Torque.Value,
			Iron: beside / 2, Stator: beside / 2 / (d.Amps.Value * d.Amps.Value),
			Idle:   0.9 * math.Sqrt(1-d.PowerFactor.Value*d.PowerFactor.Value),
			Inrush: motor.StartAmps(d) / max(d.Amps.Value, 1e-9),
		}
	}
	t.Fatalf("no sound plan %q", what)
	return nil, nil, constants{}
}

// reference is what SciPy came to.
type reference struct {
	Made string
	Runs []struct {
		Plan                       string
		Started, Loaded, Freed     float64 // rad/s of the spindle before each of the script's events
		Winding, Case, StandsAfter float64 // °C as it stands, s from being let go
		Entered, Spent, Passed     float64 // J by then
	}
}

func referenceOf(t testing.TB) (ref reference) {
	t.Helper()
	data, err := os.ReadFile("testdata/scipy.json")
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(data, &ref))
	require.Contains(t, ref.Made, "SciPy")
	return ref
}

// at is the first row at a time or after it.
func (r *run) at(seconds float64) row {
	i := slices.IndexFunc(r.log.rows, func(one row) bool { return one.t >= seconds-1e-9 })
	return r.log.rows[max(i, 0)]
}

// Source: SciPy's solve_ivp on the same equations written again in Python; scripts/reference/scipy_dryrun.py made the
// file, which names the versions.
func TestRunsAgreeWithSciPy(t *testing.T) {
	if *made != "" {
		var all []constants
		for _, one := range references {
			_, _, c := referenceRun(t, one.plan, one.sort, one.load)
			all = append(all, c)
		}
		data, err := json.MarshalIndent(all, "", " ")
		require.NoError(t, err)
		require.NoError(t, os.WriteFile(*made, data, 0o600))
		return
	}
	ref := referenceOf(t)
	require.Len(t, ref.Runs, len(references))
	for i, one := range references {
		t.Run(one.plan, func(t *testing.T) {
			m, s, _ := referenceRun(t, one.plan, one.sort, one.load)
			r, err := simulate(m, s, detail{fine: 1e-7})
			require.NoError(t, err)
			want := ref.Runs[i]
			require.Equal(t, one.plan, want.Plan)
			assert.InEpsilon(t, want.Started, r.at(jamsAt).spindle, 1e-8, "up to speed")
			assert.InEpsilon(t, want.Loaded, r.at(freesAt).spindle, 1e-8, "under the load")
			assert.InEpsilon(t, want.Freed, r.at(letsGoAt).spindle, 1e-8, "free again")
			stands := 0.0
			for _, e := range r.log.events {
				if e.what == Stands && e.t > letsGoAt {
					stands = e.t
				}
			}
			assert.InDelta(t, want.StandsAfter, stands-letsGoAt, 2e-6, "a microsecond is as near as it is looked for")
			assert.InEpsilon(t, want.Winding, r.at(stands).winding, 1e-6)
			assert.InEpsilon(t, want.Case, r.at(stands).casing, 1e-6)
			assert.InEpsilon(t, want.Entered, r.y[entered], 1e-5, "energy in")
			assert.InEpsilon(t, want.Spent, r.y[spent], 1e-5, "energy out")
			assert.InEpsilon(t, want.Passed, r.y[passed], 1e-5, "lost in the reduction")
		})
	}
}
