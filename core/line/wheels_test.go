package line

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// stocked is a family with a part on the shelf.
func stocked(t *testing.T, name string, items ...shelf.Item) family {
	t.Helper()
	f, ok := newFamily(name, items, 0.4, false)
	require.True(t, ok)
	return f
}

func pulley(diameter, teeth q.Text, section string) shelf.Item {
	return shelf.Item{ID: "p", Sort: shelf.Pulley, Wheel: shelf.Wheel{Diameter: diameter, Teeth: teeth, Section: section}}
}

// A part is the family's by how its section is written, in any of the ways people write it.
func TestSectionsAreReadAsPeopleWriteThem(t *testing.T) {
	for _, c := range []struct {
		family, section string
		owns            bool
	}{
		{"v-A", "A", true}, {"v-A", "a, 13 mm", true}, {"v-A", "section A", true}, {"v-A", "B", false}, {"v-A", "", false}, {"v-A", "SPA", false},
		{"poly-v-J", "PJ", true}, {"poly-v-J", "J", true}, {"poly-v-J", "8 J", true}, {"poly-v-J", "PK", false}, {"poly-v-K", "PK 6", true},
		{"toothed-5", "5M", true}, {"toothed-5", "5", true}, {"toothed-5", "8M", false}, {"chain-12.7", "12.7 mm", true}, {"chain-12.7", "8", false},
	} {
		f := stocked(t, c.family)
		assert.Equal(t, c.owns, f.owns(c.section), "%s on %s", c.section, c.family)
	}
}

func TestTheShelfTakesAStandardSizesPlace(t *testing.T) {
	plain := stocked(t, "v-A")
	for _, w := range plain.wheels {
		assert.Nil(t, w.item)
		assert.GreaterOrEqual(t, w.size, reduction.Smallest("A")*0.995, "none too small for its belt")
		assert.LessOrEqual(t, w.size, 0.4)
	}
	with := stocked(t, "v-A", pulley("80 mm", "", "A"))
	assert.Len(t, with.wheels, len(plain.wheels), "in the place of the standard one")
	odd := stocked(t, "v-A", pulley("83 mm", "", "A"))
	assert.Len(t, odd.wheels, len(plain.wheels)+1, "one more")
	for i := 1; i < len(odd.wheels); i++ {
		assert.LessOrEqual(t, odd.wheels[i-1].size, odd.wheels[i].size)
	}
	for _, item := range []shelf.Item{pulley("83 mm", "", "B"), pulley("about 83", "", "A"), pulley("30 mm", "", "A"), {ID: "m", Sort: shelf.Motor}, {ID: "x", Sort: shelf.Pulley, State: "for-parts", Wheel: shelf.Wheel{Diameter: "83 mm", Section: "A"}}} {
		assert.Len(t, stocked(t, "v-A", item).wheels, len(plain.wheels), "%+v", item.Wheel)
	}
}

// Over the rim a pulley of section A is 6.6 mm larger than its pitch diameter.
func TestStockMeasuredOverTheRim(t *testing.T) {
	item := pulley("86.6 mm", "", "A")
	item.Wheel.Measured = "outside"
	for _, w := range stocked(t, "v-A", item).wheels {
		if w.item != nil {
			assert.InDelta(t, 0.080, w.size, 1e-9)
			assert.Equal(t, q.Text("80 mm"), w.text)
			return
		}
	}
	t.Fatal("the pulley was left out")
}

func TestToothedStockIsCounted(t *testing.T) {
	f := stocked(t, "toothed-5", pulley("", "33", "5M"))
	for _, w := range f.wheels {
		if w.item != nil {
			assert.Equal(t, q.Text("33"), w.text)
			assert.InEpsilon(t, 33*5e-3/3.14159265, w.size, 1e-6)
		}
	}
	assert.Len(t, stocked(t, "toothed-5", pulley("", "2", "5M")).wheels, len(f.wheels)-1, "two teeth are no wheel")
	_, ok := newFamily("rope", nil, 1, false)
	assert.False(t, ok)
}

// A belt from the shelf sets the centres where it fits between them, and counts as on hand.
func TestAShelfBeltSetsTheCentres(t *testing.T) {
	in := searching()
	s, err := plan.Resolve(in.Input)
	require.NoError(t, err)
	l := &searcher{train: newTrain(s), bounds: bounds{centreMax: 0.5}}
	f := stocked(t, "v-A", shelf.Item{ID: "b", Sort: shelf.Belt, Length: "1080 mm", Wheel: shelf.Wheel{Section: "A"}})
	small, large := &wheel{size: 0.080, text: "80 mm"}, &wheel{size: 0.236, text: "236 mm"}
	p := l.pair(&f, small, large)
	require.NotNil(t, p)
	require.NotNil(t, p.belt)
	assert.InDelta(t, 1.080, reduction.OpenBelt(0.080, 0.236, p.centre), 1e-9)
	assert.Equal(t, 2, partsOf([][]*pair{{p}}), "both wheels, not the belt")
	assert.Equal(t, 5, partsOf([][]*pair{{p}, {p}}), "the belt serves once")
	l.centreMax = 0.2
	near := l.pair(&f, small, large)
	require.NotNil(t, near)
	assert.Nil(t, near.belt, "too long for the room there is")
	l.centreMax = 0.1
	assert.Nil(t, l.pair(&f, small, large), "they would touch")
	assert.Nil(t, l.pair(&f, &wheel{size: 0.04}, &wheel{size: 0.4}), "past what one stage reaches")
}

func TestTheFrontKeepsWhatNothingBeats(t *testing.T) {
	p := &pair{}
	one, two := [][]*pair{{p}}, [][]*pair{{p}, {p}}
	f := newFront()
	f.offer(candidate{stages: two, done: 0b111, worst: 3, buy: 4, size: 0.6})
	f.offer(candidate{stages: two, done: 0b111, worst: 3, buy: 4, size: 0.5}) // the same in less room
	f.offer(candidate{stages: two, done: 0b011, worst: 3, buy: 4, size: 0.4}) // does less for as much
	f.offer(candidate{stages: one, done: 0b011, worst: 1, buy: 2, size: 0.3}) // simpler
	f.offer(candidate{stages: two, done: 0b111, worst: 9, buy: 6, size: 0.5}) // more to spare for more parts
	f.offer(candidate{stages: two, done: 0b111, worst: 9, buy: 6, trim: true, size: 0.1})
	best := f.best()
	require.Len(t, best, 3)
	assert.Equal(t, int8(9), best[0].worst)
	assert.False(t, best[0].trim)
	assert.Equal(t, 0.5, best[1].size)
	assert.Len(t, best[2].stages, 1)
	does := f.doneWithoutChange()
	assert.True(t, does(0b101))
	assert.False(t, does(0b1000))
}

// Of more sizes than can be tried those stay that lie furthest apart, and those on hand before others.
func TestTooManyWheelsAreThinned(t *testing.T) {
	part := &shelf.Item{}
	var f family
	for i := range 200 {
		w := wheel{size: 0.05 * math.Pow(8, float64(i)/199)}
		if i%5 == 0 {
			w.item = part
		}
		f.wheels = append(f.wheels, w)
	}
	assert.Equal(t, 120, f.thin(80))
	require.Len(t, f.wheels, 80)
	assert.InEpsilon(t, 0.05, f.wheels[0].size, 1e-9)
	assert.InEpsilon(t, 0.4, f.wheels[79].size, 1e-9)
	onHand, widest := 0, 0.0
	for i, w := range f.wheels {
		if w.item != nil {
			onHand++
		}
		if i > 0 {
			widest = max(widest, w.size/f.wheels[i-1].size)
		}
	}
	assert.Equal(t, 40, onHand, "every one on hand")
	assert.Less(t, widest, math.Pow(8, 4.5/199), "and no hole among them")
	assert.Zero(t, f.thin(80))
	alike := family{wheels: slices.Repeat([]wheel{{size: 0.1, item: part}}, 100)}
	assert.Zero(t, alike.thin(40), "of wheels alike no size is lost")
	assert.Len(t, alike.wheels, 40)
}

// A shelf of hundreds of pulleys is searched, and says that it was thinned.
func TestAShelfOfManyPulleysIsSearched(t *testing.T) {
	in := searching()
	for i := range 600 {
		in.Shelf = append(in.Shelf, shelf.Item{Sort: shelf.Pulley, ID: fmt.Sprint(i), Wheel: shelf.Wheel{Diameter: q.Text(fmt.Sprintf("%g mm", 60+0.5*float64(i))), Section: "A"}})
	}
	in.Ask.Cones = false
	out, err := Search(in, nil)
	require.NoError(t, err)
	assert.NotEmpty(t, out.Found)
	assert.Greater(t, out.LeftOut, 450)
	in.Ask.FromShelf = true
	out, err = Search(in, nil)
	require.NoError(t, err)
	assert.NotEmpty(t, out.Found)
}
