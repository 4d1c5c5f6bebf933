package line

import (
	"fmt"
	"math"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

type shelfStock = []shelf.Item

// wheel is a pulley or sprocket that a search may put in.
type wheel struct {
	size float64 // pitch diameter, m
	text q.Text  // as a plan writes it
	item *shelf.Item
}

// family is one sort of belt or chain with the wheels and lengths there are for it.
type family struct {
	stage  reduction.DescribedStage // without wheels
	blank  reduction.Stage
	wheels []wheel
	belts  []*shelf.Item
}

// familyStages are the sorts a search can be asked for.
var familyStages = map[string]reduction.DescribedStage{
	"v-Z": {Kind: reduction.VBelt, Section: "Z"}, "v-A": {Kind: reduction.VBelt, Section: "A"}, "v-B": {Kind: reduction.VBelt, Section: "B"},
	"poly-v-J": {Kind: reduction.PolyV, Section: "J"}, "poly-v-K": {Kind: reduction.PolyV, Section: "K"},
	"toothed-5": {Kind: reduction.Toothed, Pitch: "5 mm"}, "chain-12.7": {Kind: reduction.Chain, Pitch: "12.7 mm"},
}

func familyNames() []string {
	var out []string
	for name := range familyStages {
		out = append(out, name)
	}
	slices.Sort(out)
	return out
}

// newFamily gathers the wheels of a family no larger than largest (m): standard sizes, unless only
// what is on hand will do, and the shelf's.
func newFamily(name string, stock shelfStock, largest float64, onHandOnly bool) (family, bool) {
	described, ok := familyStages[name]
	if !ok {
		return family{}, false
	}
	// Nobody has guarded it yet: the verdict asks.
	described.Measured = "pitch"
	f := family{stage: described}
	sample := described
	sample.Steps = []reduction.DescribedStep{{Driver: "20", Driven: "20"}}
	if !described.Kind.Toothed() {
		sample.Steps = []reduction.DescribedStep{{Driver: "200 mm", Driven: "200 mm"}}
	}
	f.blank = reduction.Resolve(reduction.Described{Stages: []reduction.DescribedStage{sample}}, 0, q.NewReader("")).Stages[0]
	if !onHandOnly {
		f.standard()
	}
	for i := range stock {
		f.take(&stock[i])
	}
	least := reduction.Smallest(f.blank.Section) * 0.995
	f.wheels = slices.DeleteFunc(f.wheels, func(w wheel) bool { return w.size > largest || w.size < least })
	slices.SortStableFunc(f.wheels, func(a, b wheel) int { return int(math.Copysign(1, a.size-b.size)) })
	return f, true
}

// onHandWorth is how much closer to its neighbours a wheel on hand may lie than one to buy before it is
// left out.
const onHandWorth = 4

// thin leaves the family at most so many wheels, those furthest apart in ratio, and returns how many
// sizes it left out; of wheels alike one stands for all. The smallest and the largest stay.
func (f *family) thin(most int) (leftOut int) {
	for len(f.wheels) > most {
		drop, least := 0, math.Inf(1)
		for i := 1; i+1 < len(f.wheels); i++ {
			gap := math.Log(f.wheels[i+1].size / f.wheels[i-1].size)
			if f.wheels[i].item != nil {
				gap *= onHandWorth
			}
			if gap < least {
				drop, least = i, gap
			}
		}
		if least > 0 {
			leftOut++
		}
		f.wheels = slices.Delete(f.wheels, drop, drop+1)
	}
	return leftOut
}

func (f *family) standard() {
	if f.stage.Kind.Toothed() {
		for _, n := range reduction.ToothCounts {
			f.wheels = append(f.wheels, wheel{size: f.blank.PitchDiameter(n), text: q.Text(fmt.Sprintf("%g", n))})
		}
		return
	}
	for _, mm := range reduction.PulleySizes {
		f.wheels = append(f.wheels, wheel{size: mm / 1000, text: typedLength(mm)})
	}
}

func typedLength(mm float64) q.Text { return q.Text(fmt.Sprintf("%g mm", math.Round(mm*10)/10)) }

// take adds a part from the shelf where it is of the family: in place of the standard wheel of its
// size, or as one more.
func (f *family) take(item *shelf.Item) {
	if item.State == "for-parts" || !f.owns(item.Wheel.Section) {
		return
	}
	if item.Is(shelf.Belt) {
		f.belts = append(f.belts, item)
		return
	}
	if !item.Is(shelf.Pulley) {
		return
	}
	w := wheel{item: item}
	if f.stage.Kind.Toothed() {
		n := reduction.Teeth(item.Wheel.Teeth)
		if n < 5 {
			return
		}
		w.size, w.text = f.blank.PitchDiameter(n), q.Text(fmt.Sprintf("%g", n))
	} else {
		d, err := q.Parse(item.Wheel.Diameter, q.Length)
		if err != nil || d <= 0 {
			return
		}
		if item.Wheel.Measured == "outside" {
			d -= 2 * reduction.PitchOffset(f.blank.Section)
		}
		w.size, w.text = d, typedLength(d*1000)
	}
	for i := range f.wheels {
		if f.wheels[i].item == nil && math.Abs(f.wheels[i].size/w.size-1) < 1e-3 {
			f.wheels[i] = w
			return
		}
	}
	f.wheels = append(f.wheels, w)
}

// owns reports whether a section as written on a shelf part is the family's: "A", "A 13 mm" or
// "section A" for a V belt, "PJ" or "J" for poly-V, a pitch in millimetres for teeth.
func (f *family) owns(section string) bool {
	words := strings.FieldsFunc(strings.ToUpper(section), func(r rune) bool { return !(r >= 'A' && r <= 'Z' || r >= '0' && r <= '9' || r == '.') })
	for _, w := range words {
		w = strings.TrimSuffix(w, "M")
		if f.stage.Kind.Toothed() {
			if w == strings.TrimSuffix(string(f.stage.Pitch), " mm") {
				return true
			}
			continue
		}
		if w == f.blank.Section || f.stage.Kind == reduction.PolyV && w == "P"+f.blank.Section {
			return true
		}
	}
	return false
}
