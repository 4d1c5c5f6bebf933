package server

import (
	"context"
	"runtime"
	"sync"

	"jiriki/core/assess"
	"jiriki/core/drawing"
	"jiriki/core/dryrun"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/plan"
	"jiriki/core/quantity"
	"jiriki/store"
)

// verdictKey names what a plan's row in the shed follows from, but for the shelf.
type verdictKey struct {
	plan, machine string // digests
	units         quantity.System
}

// Verdict is what a plan's row in the shed says.
type Verdict struct {
	Power    assess.Said      `json:"power" doc:"May it be powered?"`
	Does     assess.Said      `json:"does" doc:"Does it do the jobs?"`
	Starts   string           `json:"starts" doc:"How it starts in a dry run, in a few words; empty where it cannot be run"`
	Stations []assess.Station `json:"stations" nullable:"false"`
	Drawing  drawing.Drawing  `json:"drawing"`

	shelf string // digest of the shelf it follows from too; empty when it does not
}

// verdicts keeps the rows of the shed by the content they follow from, so that a look works out only
// what changed since the last.
type verdicts struct {
	mu   sync.Mutex
	kept map[verdictKey]Verdict
}

// of returns the verdicts on plans, by plan. Those not kept are worked out, as the plan is by then; one
// that is gone by then has none. What no plan follows from any more is forgotten.
func (v *verdicts) of(
	ctx context.Context, from *store.Store, hand onHand, units quantity.System, shed []store.ShedMachine,
) (map[string]Verdict, error) {
	// One look at a time: a second would work out the same.
	v.mu.Lock()
	defer v.mu.Unlock()
	kept, out, lacking := map[verdictKey]Verdict{}, map[string]Verdict{}, []string{}
	for _, m := range shed {
		for _, p := range m.Plans {
			key := verdictKey{p.Digest, m.Digest, units}
			if known, ok := v.kept[key]; ok && (known.shelf == "" || known.shelf == hand.digest) {
				kept[key], out[p.ID] = known, known
			} else {
				lacking = append(lacking, p.ID)
			}
		}
	}
	err := workOut(ctx, from, hand, units, lacking, func(d store.Described, one Verdict) {
		kept[verdictKey{d.PlanDigest, d.MachineDigest, units}], out[d.PlanID] = one, one
	})
	for key, known := range v.kept {
		if key.units != units {
			kept[key] = known
		}
	}
	v.kept = kept
	return out, err
}

// workOut works out the verdicts on the named plans and tells each, one at a time.
func workOut(
	ctx context.Context, from *store.Store, hand onHand, units quantity.System, plans []string,
	tell func(store.Described, Verdict),
) error {
	if len(plans) == 0 {
		return nil
	}
	asked := make(chan store.Described)
	var wg sync.WaitGroup
	var mu sync.Mutex
	for range runtime.GOMAXPROCS(0) {
		wg.Go(func() {
			for d := range asked {
				in := plan.Input{Units: units, Machine: d.Machine, Plan: d.Plan, Shelf: hand.items, Motors: hand.motors}
				one := judged(in, hand.digest)
				mu.Lock()
				tell(d, one)
				mu.Unlock()
			}
		})
	}
	err := from.EachDescribed(ctx, plans, func(d store.Described) error {
		asked <- d
		return ctx.Err()
	})
	close(asked)
	wg.Wait()
	return err
}

// judged assesses a plan for its row.
func judged(in plan.Input, shelf string) Verdict {
	a, err := dryrun.Assess(in)
	if err != nil {
		past := assess.Said{Answer: judge.Unknown, Mark: finding.Missing, Text: "It holds more than can be worked out.",
			Hangs: []assess.Next{}, Taken: []judge.Taken{}}
		return Verdict{
			Power: past, Does: past,
			Stations: []assess.Station{},
			Drawing:  drawing.Drawing{Stages: []drawing.Stage{}, SpeedsTop: []float64{}},
		}
	}
	v := Verdict{Power: a.Power, Does: a.Does, Starts: dryrun.Starting(in), Stations: a.Stations, Drawing: a.Drawing}
	if a.ShelfTried {
		v.shelf = shelf
	}
	return v
}
