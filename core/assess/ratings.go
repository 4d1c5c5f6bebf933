package assess

import (
	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/source"
	"jiriki/core/working"
)

// ratings are the workings of the belts' shares.
func (d *derivations) ratings(loads []line.BeltLoad) {
	for i, s := range loads {
		if s.Count == 0 {
			continue
		}
		stage := d.Model.Reduction.Stages[i]
		label, src := "Belt"+d.OfStage(i)+" at its hardest job", ratingSource(stage)
		switch stage.Kind {
		case reduction.Chain:
			label = "Chain" + d.OfStage(i) + " at its hardest job"
		case reduction.Spur:
			label = "Gear teeth" + d.OfStage(i) + " at their hardest job"
		}
		assumes := []string{s.Job}
		if s.Brief {
			assumes = append(assumes, "For some seconds it pulls half as much again as its rating")
		}
		if stage.Assumed != "" {
			assumes = append(assumes, stage.Assumed)
		}
		d.add(working.ReductionRating.At(i), label, q.Percent(s.Share)+" of its rating",
			"share = F_needed / F_rated, F = 2T / D",
			d.show(s.Pull*s.Step.Driven/2, q.Torque)+" over ⌀ "+d.show(s.Step.Driven, q.Length)+" is "+
				d.show(s.Pull, q.Force)+"; "+d.show(s.Rated, q.Force)+" carried at "+
				d.show(s.Speed, q.SurfaceSpeed),
			src, assumes...)
	}
}

func ratingSource(s reduction.Stage) *source.Source {
	switch {
	case s.Kind == reduction.Chain:
		return source.ChainRating
	case s.Kind == reduction.Toothed:
		return source.ToothedRating
	case s.Kind == reduction.Spur:
		return source.GearRating
	case s.Kind == reduction.Worm:
		return source.WormRating
	case s.Kind == reduction.Flat:
		return source.FlatRating
	case s.Section == "A" || s.Section == "B":
		return source.ClassicalRating
	}
	return source.RibRating
}
