package shelf

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// FamilyWheel is a pulley or sprocket that a search may put in.
type FamilyWheel struct {
	Size float64 // pitch diameter, m
	Text q.Text  // as a plan writes it
	Item *Item
}

// Family is one sort of belt or chain with the wheels and lengths there are for it.
type Family struct {
	Stage  reduction.DescribedStage // without wheels
	Blank  reduction.Stage
	Wheels []FamilyWheel
	Belts  []*Item
	sys    q.System // whose sizes are to be had

	least, most float64 // pitch diameter, m
}

// familyStages are the sorts a search can be asked for.
var familyStages = map[string]reduction.DescribedStage{
	"v-Z": {Kind: reduction.VBelt, Section: "Z"}, "v-A": {Kind: reduction.VBelt, Section: "A"},
	"v-B":      {Kind: reduction.VBelt, Section: "B"},
	"poly-v-J": {Kind: reduction.PolyV, Section: "J"}, "poly-v-K": {Kind: reduction.PolyV, Section: "K"},
	"toothed-5": {Kind: reduction.Toothed, Pitch: "5 mm"}, "chain-12.7": {Kind: reduction.Chain, Pitch: "12.7 mm"},
}

// FamilyNames are the families there are, in order.
func FamilyNames() []string {
	var out []string
	for name := range familyStages {
		out = append(out, name)
	}
	slices.Sort(out)
	return out
}

// NewFamily gathers the wheels of a family no larger than largest (m): standard sizes, unless only
// what is on hand will do, and the shelf's.
func NewFamily(name string, stock []Item, largest float64, onHandOnly bool, sys q.System) (Family, bool) {
	described, ok := familyStages[name]
	if !ok {
		return Family{}, false
	}
	// Nobody has guarded it yet: the verdict asks.
	described.Measured = "pitch"
	f := Family{Stage: described, sys: sys}
	sample := described
	sample.Steps = []reduction.DescribedStep{{Driver: "20", Driven: "20"}}
	if !described.Kind.Toothed() {
		sample.Steps = []reduction.DescribedStep{{Driver: "200 mm", Driven: "200 mm"}}
	}
	f.Blank = reduction.Resolve(reduction.Described{Stages: []reduction.DescribedStage{sample}}, 0, 1,
		q.NewReader("")).Stages[0]
	if !onHandOnly {
		f.standard()
	}
	for i := range stock {
		f.Take(&stock[i])
	}
	f.least, f.most = reduction.Smallest(f.Blank.Section)*0.995, largest
	f.Wheels = slices.DeleteFunc(f.Wheels, func(w FamilyWheel) bool { return !f.takes(w.Size) })
	f.sorted()
	return f, true
}

// onHandWorth is how much closer to its neighbours a wheel on hand may lie than one to buy before it is
// left out.
const onHandWorth = 4

// Thin leaves the family at most so many wheels, those furthest apart in ratio, and returns how many
// sizes it left out; of wheels alike one stands for all. The smallest and the largest stay.
func (f *Family) Thin(most int) (leftOut int) {
	for len(f.Wheels) > most {
		drop, least := 0, math.Inf(1)
		for i := 1; i+1 < len(f.Wheels); i++ {
			gap := math.Log(f.Wheels[i+1].Size / f.Wheels[i-1].Size)
			if f.Wheels[i].Item != nil {
				gap *= onHandWorth
			}
			if gap < least {
				drop, least = i, gap
			}
		}
		if least > 0 {
			leftOut++
		}
		f.Wheels = slices.Delete(f.Wheels, drop, drop+1)
	}
	return leftOut
}

func (f *Family) standard() {
	if f.Stage.Kind.Toothed() {
		for _, n := range reduction.ToothCounts {
			f.Wheels = append(f.Wheels, FamilyWheel{Size: f.Blank.PitchDiameter(n), Text: q.Text(fmt.Sprintf("%g", n))})
		}
		return
	}
	for _, mm := range reduction.PulleySizes(f.sys) {
		f.Wheels = append(f.Wheels, FamilyWheel{Size: mm / 1000, Text: q.WrittenLength(mm, f.sys)})
	}
}

// Take adds a part from the shelf where it is of the family: in place of the standard wheel of its
// size, or as one more.
func (f *Family) Take(item *Item) {
	if item.State == "for-parts" || !f.Owns(item.Wheel.Section) {
		return
	}
	if item.Is(Belt) {
		f.Belts = append(f.Belts, item)
		return
	}
	if !item.Is(Pulley) {
		return
	}
	w := FamilyWheel{Item: item}
	if f.Stage.Kind.Toothed() {
		n := reduction.Teeth(item.Wheel.Teeth)
		if n < 5 {
			return
		}
		w.Size, w.Text = f.Blank.PitchDiameter(n), q.Text(fmt.Sprintf("%g", n))
	} else {
		d, err := q.Parse(item.Wheel.Diameter, q.Length)
		if err != nil || d <= 0 {
			return
		}
		if item.Wheel.Measured == "outside" {
			d -= 2 * reduction.PitchOffset(f.Blank.Section, reduction.InInches(item.Wheel.Diameter))
		}
		w.Size, w.Text = d, q.WrittenLength(d*1000, f.sys)
	}
	if i := f.like(w.Size); i >= 0 && f.Wheels[i].Item == nil {
		f.Wheels[i] = w
		return
	}
	f.Wheels = append(f.Wheels, w)
}

// takes reports whether the family's belts bend round a wheel of a pitch diameter, m, and there is room for it.
func (f *Family) takes(size float64) bool { return size >= f.least && size <= f.most }

// Fit adds a pulley that a plan has, of so large a pitch diameter (m), where there is none of its size.
func (f *Family) Fit(size float64) {
	if f.takes(size) && f.like(size) < 0 {
		f.Wheels = append(f.Wheels, FamilyWheel{Size: size, Text: q.WrittenLength(size*1000, f.sys)})
		f.sorted()
	}
}

// like is the last of the wheels that are of a size, m, and -1 where none is.
func (f *Family) like(size float64) int {
	for i := len(f.Wheels) - 1; i >= 0; i-- {
		if math.Abs(f.Wheels[i].Size/size-1) < 1e-3 {
			return i
		}
	}
	return -1
}

func (f *Family) sorted() {
	slices.SortStableFunc(f.Wheels, func(a, b FamilyWheel) int { return cmp.Compare(a.Size, b.Size) })
}

// Owns reports whether a section as written on a shelf part is the family's: "A", "A 13 mm" or
// "section A" for a V belt, "PJ" or "J" for poly-V, a pitch in millimetres for teeth.
func (f *Family) Owns(section string) bool {
	words := strings.FieldsFunc(strings.ToUpper(section),
		func(r rune) bool {
			return !(r >= 'A' && r <= 'Z' || r >= '0' && r <= '9' || r == '.')
		})
	for _, w := range words {
		w = strings.TrimSuffix(w, "M")
		if f.Stage.Kind.Toothed() {
			if w == strings.TrimSuffix(string(f.Stage.Pitch), " mm") {
				return true
			}
			continue
		}
		if w == f.Blank.Section || f.Stage.Kind == reduction.PolyV && w == "P"+f.Blank.Section {
			return true
		}
	}
	return false
}
