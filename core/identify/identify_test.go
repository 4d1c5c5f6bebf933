package identify

import (
	"sort"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/donor"
	"jiriki/core/motor"
)

// described are motors as somebody would describe them, clue by clue; a clue left out is one that
// could not be told. Made up, each from what such a motor is like, not from the odds.
var described = []struct {
	kind motor.Kind
	what string
	seen string
}{
	{motor.PermanentMagnetDC, "walking machine, plate whole",
		"plate=dc brushes=yes stator=magnets capacitors=none click=no shorted=stiffer detents=smooth leads=two " +
			"thin=pair ohms=jumps speed=any rotor=commutator"},
	{motor.PermanentMagnetDC, "walking machine, no plate, vents too small to look in",
		"brushes=yes capacitors=none click=no shorted=stiffer detents=smooth leads=two thin=none speed=any"},
	{motor.PermanentMagnetDC, "scooter motor with its brake's thin pair",
		"plate=dc brushes=yes stator=magnets capacitors=none shorted=stiffer detents=few leads=two thin=pair " +
			"ohms=steady speed=any rotor=commutator"},
	{motor.PermanentMagnetDC, "wiper motor, three leads",
		"plate=dc brushes=yes capacitors=none click=no shorted=stiffer leads=three thin=none " +
			"ohms=jumps rotor=commutator"},
	{motor.PermanentMagnetDC, "floor scrubber, plate says mains",
		"plate=one brushes=yes stator=magnets capacitors=none click=no shorted=stiffer detents=smooth leads=two " +
			"thin=none ohms=jumps speed=any rotor=commutator"},
	{motor.PermanentMagnetDC, "cordless drill motor with a small suppressor capacitor",
		"plate=dc brushes=yes stator=magnets capacitors=run shorted=stiffer detents=few leads=two thin=none " +
			"ohms=steady speed=howl rotor=commutator"},
	{motor.PermanentMagnetDC, "winch motor, sealed",
		"plate=dc capacitors=none click=no shorted=stiffer detents=smooth leads=two thin=none ohms=jumps"},
	{motor.PermanentMagnetDC, "wire feeder, worm in the way of turning it",
		"plate=dc brushes=yes capacitors=none click=no leads=two thin=none speed=any rotor=commutator"},
	{motor.PermanentMagnetDC, "window winder", "plate=dc brushes=yes stator=magnets capacitors=none shorted=stiffer " +
		"leads=two thin=five ohms=jumps speed=any"},
	{motor.WoundDC, "old lathe drive", "plate=dc brushes=yes stator=coils capacitors=none click=no shorted=same " +
		"detents=smooth leads=four thin=none ohms=pairs speed=any rotor=commutator"},
	{motor.WoundDC, "lift generator, plate worn",
		"brushes=yes stator=coils capacitors=none shorted=same detents=smooth leads=four thin=none ohms=pairs " +
			"rotor=commutator"},
	{motor.WoundDC, "golf cart motor", "plate=dc brushes=yes stator=coils capacitors=none shorted=same leads=four " +
		"ohms=jumps speed=any rotor=commutator"},
	{motor.Universal, "washing machine, tachometer on its tail",
		"plate=acdc brushes=yes stator=coils capacitors=none click=no shorted=same detents=smooth leads=four " +
			"thin=pair ohms=jumps speed=howl rotor=commutator"},
	{motor.Universal, "vacuum cleaner", "plate=one brushes=yes stator=coils capacitors=none click=no shorted=same " +
		"detents=smooth leads=two thin=none ohms=jumps speed=howl rotor=commutator"},
	{motor.Universal, "hand drill with its suppressor",
		"plate=acdc brushes=yes stator=coils capacitors=run shorted=same leads=two thin=none ohms=jumps speed=howl " +
			"rotor=commutator"},
	{motor.Universal, "kitchen mixer, plate gone",
		"brushes=yes stator=coils capacitors=none shorted=same detents=smooth leads=many ohms=jumps speed=howl"},
	{motor.Universal, "sewing machine, small and closed",
		"plate=acdc brushes=yes capacitors=none click=no shorted=same detents=smooth leads=two thin=none ohms=steady " +
			"speed=any"},
	{motor.Universal, "blender, seen through the vents only",
		"plate=one stator=coils capacitors=none leads=two speed=howl rotor=commutator"},
	{motor.Universal, "router base motor", "brushes=yes stator=coils capacitors=run click=no shorted=same " +
		"detents=smooth leads=two thin=none speed=howl rotor=commutator"},
	{motor.ThreePhase, "conveyor", "plate=three brushes=no stator=coils capacitors=none click=no shorted=same " +
		"detents=smooth leads=three thin=none ohms=alike speed=mains rotor=cage"},
	{motor.ThreePhase, "six leads out, plate painted over",
		"brushes=no stator=coils capacitors=none click=no shorted=same detents=smooth leads=four thin=none " +
			"ohms=pairs speed=mains rotor=cage"},
	{motor.ThreePhase, "pump with thermistors", "plate=three brushes=no capacitors=none shorted=same detents=smooth " +
		"leads=three thin=pair ohms=alike speed=mains"},
	{motor.ThreePhase, "nine leads, two voltages",
		"plate=three brushes=no capacitors=none click=no shorted=same leads=many thin=none ohms=pairs rotor=cage"},
	{motor.ThreePhase, "washing-machine drum on its own inverter",
		"plate=three brushes=no stator=coils capacitors=none click=no shorted=same detents=smooth leads=three " +
			"thin=five ohms=alike speed=any rotor=cage"},
	{motor.ThreePhase, "closed motor, plate scratched to the volts",
		"plate=three brushes=no capacitors=none shorted=same detents=smooth leads=three ohms=alike"},
	{motor.ThreePhase, "scrapyard, nothing to read",
		"brushes=no capacitors=none click=no shorted=same detents=smooth leads=three thin=none ohms=alike"},
	{motor.SplitPhase, "tumble dryer", "plate=one brushes=no stator=coils capacitors=none click=yes shorted=same " +
		"detents=smooth leads=four thin=none ohms=pairs speed=mains rotor=cage"},
	{motor.SplitPhase, "bench grinder, start switch outside",
		"plate=one brushes=no stator=coils capacitors=none click=no shorted=same detents=smooth leads=three " +
			"thin=none ohms=sum speed=mains rotor=cage"},
	{motor.SplitPhase, "old washing machine, plate gone",
		"brushes=no stator=coils capacitors=none click=yes shorted=same detents=smooth leads=three " +
			"ohms=sum speed=mains"},
	{motor.SplitPhase, "small saw, two leads only",
		"plate=one brushes=no capacitors=none click=yes shorted=same detents=smooth leads=two ohms=steady " +
			"speed=mains rotor=cage"},
	{motor.SplitPhase, "mangle, closed", "plate=one brushes=no capacitors=none click=yes shorted=same leads=four " +
		"ohms=pairs"},
	{motor.SplitPhase, "oil burner", "plate=one brushes=no stator=coils capacitors=none click=yes shorted=same " +
		"detents=smooth leads=two thin=none ohms=steady speed=mains rotor=cage"},
	{motor.CapacitorStart, "compressor", "plate=one brushes=no stator=coils capacitors=start click=yes shorted=same " +
		"detents=smooth leads=two thin=none ohms=steady speed=mains rotor=cage"},
	{motor.CapacitorStart, "table saw, four leads",
		"plate=one brushes=no capacitors=start click=yes shorted=same detents=smooth leads=four thin=none ohms=pairs " +
			"speed=mains"},
	{motor.CapacitorStart, "grain dryer, plate rusted",
		"brushes=no stator=coils capacitors=start click=yes shorted=same leads=three ohms=sum speed=mains rotor=cage"},
	{motor.CapacitorStart, "bench saw, cannot be spun by hand",
		"plate=one brushes=no capacitors=start leads=four thin=none ohms=pairs speed=mains rotor=cage"},
	{motor.CapacitorStart, "capacitor not told apart by its owner",
		"plate=one brushes=no click=yes shorted=same detents=smooth leads=four thin=none ohms=pairs speed=mains " +
			"capacitors=start"},
	{motor.CapacitorStart, "pump with a thermal pair",
		"plate=one brushes=no stator=coils capacitors=start click=yes shorted=same detents=smooth leads=two " +
			"thin=pair ohms=steady speed=mains rotor=cage"},
	{motor.CapacitorRun, "pool pump", "plate=one brushes=no stator=coils capacitors=two click=yes shorted=same " +
		"detents=smooth leads=two thin=none ohms=steady speed=mains rotor=cage"},
	{motor.CapacitorRun, "large table saw", "plate=one brushes=no capacitors=two click=yes shorted=same leads=four " +
		"thin=none ohms=pairs speed=mains"},
	{motor.CapacitorRun, "compressor with a relay for a switch",
		"plate=one brushes=no capacitors=two click=no shorted=same detents=smooth leads=three thin=none ohms=sum " +
			"speed=mains rotor=cage"},
	{motor.CapacitorRun, "planer, plate unread",
		"brushes=no stator=coils capacitors=two click=yes shorted=same leads=two speed=mains"},
	{motor.PermanentSplit, "ceiling fan", "plate=one brushes=no stator=outside capacitors=run click=no shorted=same " +
		"detents=smooth leads=three thin=none ohms=sum speed=mains rotor=cage"},
	{motor.PermanentSplit, "furnace blower, several speeds",
		"plate=one brushes=no stator=coils capacitors=run click=no shorted=same detents=smooth leads=many thin=none " +
			"ohms=sum speed=mains rotor=cage"},
	{motor.PermanentSplit, "garage door", "plate=one brushes=no capacitors=run click=no shorted=same leads=three " +
		"ohms=alike speed=mains rotor=cage"},
	{motor.PermanentSplit, "top-loading washer",
		"plate=one brushes=no stator=coils capacitors=run click=no shorted=same detents=smooth leads=three thin=pair " +
			"ohms=sum speed=mains"},
	{motor.PermanentSplit, "extractor, capacitor lost",
		"plate=one brushes=no stator=coils capacitors=none click=no shorted=same detents=smooth leads=three " +
			"thin=none ohms=sum speed=mains rotor=cage"},
	{motor.PermanentSplit, "pump, potted in resin",
		"plate=one capacitors=run click=no shorted=same leads=three ohms=sum"},
	{motor.ShadedPole, "microwave fan", "plate=one brushes=no stator=bands capacitors=none click=no shorted=same " +
		"detents=smooth leads=two thin=none ohms=steady speed=mains rotor=cage"},
	{motor.ShadedPole, "record player", "plate=one brushes=no stator=bands capacitors=none shorted=same " +
		"detents=smooth leads=two ohms=steady"},
	{motor.ShadedPole, "bathroom fan, closed", "plate=one brushes=no capacitors=none click=no shorted=same " +
		"detents=smooth leads=two thin=none ohms=steady speed=mains"},
	{motor.ShadedPole, "fan with three speeds", "plate=one brushes=no stator=bands capacitors=none click=no " +
		"shorted=same leads=four ohms=steady speed=mains rotor=cage"},
	{motor.TwoSpeed, "washing machine, wash and spin",
		"plate=one brushes=no stator=coils capacitors=run click=no shorted=same detents=smooth leads=many thin=none " +
			"ohms=pairs speed=mains rotor=cage"},
	{motor.TwoSpeed, "pool pump with a two-speed switch",
		"plate=one brushes=no stator=coils capacitors=none click=yes shorted=same leads=many ohms=pairs speed=mains"},
	{motor.TwoSpeed, "top-loader", "plate=one brushes=no stator=coils capacitors=none click=yes shorted=same " +
		"detents=smooth leads=many thin=none ohms=pairs speed=mains rotor=cage"},
	{motor.Brushless, "direct-drive washer", "plate=dc brushes=no stator=outside capacitors=none click=no " +
		"shorted=stiffer detents=few leads=three thin=five ohms=alike speed=any rotor=magnet"},
	{motor.Brushless, "e-bike hub", "plate=dc brushes=no stator=outside capacitors=none shorted=stiffer detents=few " +
		"leads=three thin=five ohms=alike speed=any rotor=magnet"},
	{motor.Brushless, "model aircraft outrunner",
		"brushes=no stator=outside capacitors=none click=no shorted=stiffer detents=few leads=three thin=none " +
			"ohms=alike speed=any rotor=magnet"},
	{motor.Brushless, "garden trimmer, inside running",
		"plate=dc brushes=no stator=coils capacitors=none shorted=stiffer detents=few leads=three thin=none " +
			"ohms=alike rotor=magnet"},
	{motor.Brushless, "cordless mower, plate gone",
		"brushes=no capacitors=none click=no shorted=stiffer detents=few leads=three ohms=alike speed=any"},
	{motor.Stepper, "plotter", "plate=step brushes=no stator=teeth capacitors=none click=no shorted=stiffer " +
		"detents=many leads=four thin=none ohms=pairs speed=any"},
	{motor.Stepper, "printer, no plate", "brushes=no capacitors=none shorted=stiffer detents=many leads=four " +
		"ohms=pairs speed=any"},
	{motor.Stepper, "disk drive, eight leads", "plate=step brushes=no capacitors=none shorted=stiffer detents=many " +
		"leads=many ohms=pairs"},
	{motor.Stepper, "scanner, volts on its plate",
		"plate=dc brushes=no stator=teeth capacitors=none detents=many leads=four ohms=pairs speed=any rotor=magnet"},
	{motor.Servo, "milling machine axis", "plate=three brushes=no stator=coils capacitors=none shorted=stiffer " +
		"detents=few leads=three thin=five ohms=alike speed=any rotor=magnet"},
	{motor.Servo, "robot joint", "plate=step brushes=no stator=coils capacitors=none click=no shorted=stiffer " +
		"detents=smooth leads=three thin=five ohms=alike speed=any rotor=magnet"},
}

func answers(text string) map[string]string {
	out := map[string]string{}
	for _, pair := range strings.Fields(text) {
		clue, answer, _ := strings.Cut(pair, "=")
		out[clue] = answer
	}
	return out
}

// asked goes through the questions as a person with this motor would and returns how many were
// answered, "can't tell" counted, before it settled or had nothing more to ask.
func asked(t *testing.T, seen map[string]string) (int, Opinion) {
	in := Input{}
	for n := 0; ; n++ {
		o, err := Judge(in)
		require.NoError(t, err)
		if o.Next == nil {
			return n, o
		}
		in.Seen = append(in.Seen, Seen{o.Next.ID, seen[o.Next.ID]})
	}
}

// The figure to reach: at most six answers in the median over sixty motors or more.
func TestIdentificationReachesTheRightKindInFewAnswers(t *testing.T) {
	require.GreaterOrEqual(t, len(described), 60)
	var counts []int
	wrong, cannot := 0, 0
	for _, d := range described {
		seen := answers(d.seen)
		n, o := asked(t, seen)
		counts = append(counts, n)
		if o.Ranking[0].Kind != d.kind {
			wrong++
			t.Logf("%s: taken for %s (%.2f) after %d answers; it is %s", d.what, o.Ranking[0].Kind, o.Ranking[0].Share,
				n, d.kind)
		}
		if len(seen) < len(clues) {
			cannot++
		}
	}
	sort.Ints(counts)
	t.Logf("median %d answers, most %d; %d of %d right; %d with clues that could not be told", counts[len(counts)/2],
		counts[len(counts)-1], len(described)-wrong, len(described), cannot)
	assert.LessOrEqual(t, counts[len(counts)/2], 6)
	assert.LessOrEqual(t, wrong, 2, "hardly any is taken for another")
	assert.Greater(t, cannot, 30, "many motors must have clues that cannot be told")
}

func TestEveryStepSaysWhy(t *testing.T) {
	o, err := Judge(Input{Donor: "treadmill", Seen: []Seen{{"brushes", "yes"}, {"plate", ""}, {"shorted", "stiffer"}}})
	require.NoError(t, err)
	top := o.Ranking[0]
	assert.Equal(t, motor.PermanentMagnetDC, top.Kind)
	assert.Contains(t, top.Reason(), "It has brushes; it turns stiffer with its leads shorted")
	assert.Equal(t, "Treadmill or walking machine", o.Motor.Origin)
	assert.Equal(t, motor.PermanentMagnetDC, o.Motor.Kind)
	for _, c := range o.Ranking {
		if c.Kind == motor.ThreePhase {
			assert.NotEmpty(t, c.Against)
		}
	}
	for _, in := range []Input{{Donor: "spaceship"}, {Seen: []Seen{{"aura", "blue"}}},
		{Seen: []Seen{{"brushes", "maybe"}}}, {Seen: []Seen{{"brushes", "yes"},
			{"brushes", "no"}}}} {
		_, err := Judge(in)
		assert.Error(t, err, "%+v", in)
	}
}

// Shares always add up to one, an answer that cannot be told changes nothing, and the order of
// answers does not matter.
func TestBeliefsAreSound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		var in Input
		for _, c := range clues {
			if rapid.Bool().Draw(t, c.ID) {
				in.Seen = append(in.Seen, Seen{c.ID, rapid.SampledFrom(c.Answers).Draw(t, c.ID+" answer").ID})
			}
		}
		donors := donor.All()
		in.Donor = donors[rapid.IntRange(0, len(donors)-1).Draw(t, "donor")].ID
		o, err := Judge(in)
		if err != nil {
			t.Fatal(err)
		}
		sum := 0.0
		for _, c := range o.Ranking {
			sum += c.Share
		}
		assert.InDelta(t, 1, sum, 1e-9)
		backwards := in
		backwards.Seen = nil
		for _, s := range in.Seen {
			backwards.Seen = append([]Seen{s}, backwards.Seen...)
		}
		again, err := Judge(backwards)
		if err != nil {
			t.Fatal(err)
		}
		assert.Equal(t, o.Ranking[0].Kind, again.Ranking[0].Kind)
		assert.GreaterOrEqual(t, o.Gain, 0.0)
	})
	open, err := Judge(Input{})
	require.NoError(t, err)
	shrug, err := Judge(Input{Seen: []Seen{{open.Next.ID, ""}}})
	require.NoError(t, err)
	assert.InDelta(t, open.Ranking[0].Share, shrug.Ranking[0].Share, 1e-12)
	assert.NotEqual(t, open.Next.ID, shrug.Next.ID, "it is not asked again")
}

// Kinds that are as likely as each other stay in their order, whichever way round the looking was done.
func TestTheOrderOfLookingMakesNoDifference(t *testing.T) {
	one, other := []Seen{{"shorted", "same"}, {"speed", "mains"}, {"rotor", "cage"}},
		[]Seen{{"rotor", "cage"}, {"speed", "mains"}, {"shorted", "same"}}
	for _, from := range donor.All() {
		a, err := Judge(Input{Donor: from.ID, Seen: one})
		require.NoError(t, err)
		b, err := Judge(Input{Donor: from.ID, Seen: other})
		require.NoError(t, err)
		for i := range a.Ranking {
			assert.Equal(t, a.Ranking[i].Kind, b.Ranking[i].Kind, from.ID)
			assert.Equal(t, a.Ranking[i].Share, b.Ranking[i].Share, from.ID)
		}
	}
}

func TestCluesAndOddsFitTogether(t *testing.T) {
	for _, p := range motor.Profiles() {
		require.Contains(t, kindOdds, p.Kind)
		assert.Positive(t, commonness[p.Kind])
		for _, c := range clues {
			sum := 0.0
			for _, a := range c.Answers {
				sum += likelihood(p.Kind, c, a.ID)
			}
			assert.InDelta(t, 1, sum, 0.04, "%s %s", p.Kind, c.ID)
			for answer := range kindOdds[p.Kind][c.ID] {
				_, _, ok := find(Seen{c.ID, answer})
				assert.True(t, ok, "%s %s", c.ID, answer)
			}
		}
		for clue := range kindOdds[p.Kind] {
			_, _, ok := find(Seen{Clue: clue})
			assert.True(t, ok, clue)
		}
	}
}

// A kind is settled at 92 % and nothing is asked that tells under 0.03 bits: past either, asking is over.
func TestAskingEndsWhereItShould(t *testing.T) {
	assert.Equal(t, 0.92, settledShare)
	assert.Equal(t, 0.03, worthAsking)
	settled := 0
	for _, d := range described {
		_, o := asked(t, answers(d.seen))
		assert.Equal(t, o.Ranking[0].Share >= 0.92, o.Settled, d.what)
		if o.Settled {
			settled++
		}
	}
	assert.Greater(t, settled, len(described)/2)
}
