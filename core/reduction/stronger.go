package reduction

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
)

// How many belts, strands and ribs one puts side by side before a heavier section is the better
// answer, and how wide a belt is on a home shop's pulleys [common practice].
const (
	mostBelts   = 4
	mostStrands = 3
	mostRibs    = 20
	widest      = 100e-3
)

// Stronger returns the described stages with the belt, chain or gears that weak names made to carry so many
// times (over 1) what they do, or as near as is usual, and says how: more belts, ribs or strands side by side,
// a wider belt or wider gears. It is false when weak is something else or no more is usual.
func (r Resolved) Stronger(stages []DescribedStage, weak WeakLink, times float64) (stronger []DescribedStage, label,
	detail string, ok bool) {
	for i, s := range r.Stages {
		if weak == "" || weak != s.weak.belt {
			continue
		}
		stronger = append([]DescribedStage(nil), stages...)
		label, detail, ok = s.widened(&stronger[i], times)
		if len(r.Stages) > 1 {
			detail += fmt.Sprintf("; stage %d", i+1)
		}
		return stronger, label, detail, ok
	}
	return nil, "", "", false
}

// widened writes more belts, ribs or strands, or a wider belt or face, into a stage.
func (s Stage) widened(d *DescribedStage, times float64) (label, detail string, ok bool) {
	count := math.Ceil(s.Count*times - 1e-9)
	switch s.Kind {
	case VBelt, LinkBelt:
		count = min(count, mostBelts)
		label, detail = fmt.Sprintf("Fit %g belts side by side", count),
			"a matched set, on pulleys with as many grooves"
	case PolyV:
		count = min(count, mostRibs)
		label, detail = fmt.Sprintf("Fit a belt of %g ribs", count), "on pulleys with as many"
	case Chain:
		count = s.Count + 1
		for count < mostStrands && strandFactor(count) < times*strandFactor(s.Count) {
			count++
		}
		count = min(count, mostStrands)
		label, detail = fmt.Sprintf("Fit a chain of %g strands", count), "on sprockets with as many"
	case Spur:
		wide := min(math.Ceil(s.Width*times*1000-1e-9)/1000, widestFace*s.Pitch)
		d.Width = q.Text(fmt.Sprintf("%.3g mm", wide*1000))
		return fmt.Sprintf("Fit gears %s wide", d.Width), "both of them, on hubs as wide", wide > s.Width
	case Flat, Toothed:
		wide := min(math.Ceil(s.Width*times/5e-3-1e-9)*5e-3, widest)
		d.Width = q.Text(fmt.Sprintf("%.0f mm", wide*1000))
		return fmt.Sprintf("Fit a belt %s wide", d.Width), "on pulleys as wide", wide > s.Width
	}
	d.Count = q.Text(fmt.Sprintf("%g", count))
	return label, detail, count > s.Count
}
