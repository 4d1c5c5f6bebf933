package shelf

import (
	"cmp"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// stocked is a family with a part on the shelf.
func stocked(t *testing.T, name string, items ...Item) Family {
	t.Helper()
	f, ok := NewFamily(name, items, 0.4, false, q.Metric)
	require.True(t, ok)
	return f
}

func pulley(diameter, teeth q.Text, section string) Item {
	return Item{ID: "p", Sort: Pulley, Wheel: Wheel{Diameter: diameter, Teeth: teeth, Section: section}}
}

// A part is the family's by how its section is written, in any of the ways people write it.
func TestSectionsAreReadAsPeopleWriteThem(t *testing.T) {
	for _, c := range []struct {
		family, section string
		owns            bool
	}{
		{"v-A", "A", true}, {"v-A", "a, 13 mm", true}, {"v-A", "section A", true}, {"v-A", "B", false},
		{"v-A", "", false},
		{"v-A", "SPA", false},
		{"poly-v-J", "PJ", true}, {"poly-v-J", "J", true}, {"poly-v-J", "8 J", true}, {"poly-v-J", "PK", false},
		{"poly-v-K", "PK 6", true},
		{"toothed-5", "5M", true}, {"toothed-5", "5", true}, {"toothed-5", "8M", false},
		{"chain-12.7", "12.7 mm", true}, {"chain-12.7", "8", false},
	} {
		f := stocked(t, c.family)
		assert.Equal(t, c.owns, f.Owns(c.section), "%s on %s", c.section, c.family)
	}
}

func TestTheShelfTakesAStandardSizesPlace(t *testing.T) {
	plain := stocked(t, "v-A")
	for _, w := range plain.Wheels {
		assert.Nil(t, w.Item)
		assert.GreaterOrEqual(t, w.Size, reduction.Smallest("A")*0.995, "none too small for its belt")
		assert.LessOrEqual(t, w.Size, 0.4)
	}
	with := stocked(t, "v-A", pulley("80 mm", "", "A"))
	assert.Len(t, with.Wheels, len(plain.Wheels), "in the place of the standard one")
	odd := stocked(t, "v-A", pulley("83 mm", "", "A"))
	assert.Len(t, odd.Wheels, len(plain.Wheels)+1, "one more")
	for i := 1; i < len(odd.Wheels); i++ {
		assert.LessOrEqual(t, odd.Wheels[i-1].Size, odd.Wheels[i].Size)
	}
	for _, item := range []Item{pulley("83 mm", "", "B"), pulley("about 83", "", "A"), pulley("30 mm", "", "A"),
		{ID: "m", Sort: Motor}, {ID: "x", Sort: Pulley, State: "for-parts",
			Wheel: Wheel{Diameter: "83 mm",
				Section: "A"}}} {
		assert.Len(t, stocked(t, "v-A", item).Wheels, len(plain.Wheels), "%+v", item.Wheel)
	}
}

// Over the rim a pulley of section A is 5.5 mm larger than its pitch diameter.
func TestStockMeasuredOverTheRim(t *testing.T) {
	item := pulley("85.5 mm", "", "A")
	item.Wheel.Measured = "outside"
	for _, w := range stocked(t, "v-A", item).Wheels {
		if w.Item != nil {
			assert.InDelta(t, 0.080, w.Size, 1e-9)
			assert.Equal(t, q.Text("80 mm"), w.Text)
			return
		}
	}
	t.Fatal("the pulley was left out")
}

func TestToothedStockIsCounted(t *testing.T) {
	f := stocked(t, "toothed-5", pulley("", "33", "5M"))
	for _, w := range f.Wheels {
		if w.Item != nil {
			assert.Equal(t, q.Text("33"), w.Text)
			assert.InEpsilon(t, 33*5e-3/3.14159265, w.Size, 1e-6)
		}
	}
	assert.Len(t, stocked(t, "toothed-5", pulley("", "2", "5M")).Wheels, len(f.Wheels)-1, "two teeth are no wheel")
	_, ok := NewFamily("rope", nil, 1, false, q.Metric)
	assert.False(t, ok)
}

// Of more sizes than can be tried those stay that lie furthest apart, and those on hand before others.
func TestTooManyWheelsAreThinned(t *testing.T) {
	part := &Item{}
	var f Family
	for i := range 200 {
		w := FamilyWheel{Size: 0.05 * math.Pow(8, float64(i)/199)}
		if i%5 == 0 {
			w.Item = part
		}
		f.Wheels = append(f.Wheels, w)
	}
	assert.Equal(t, 120, f.Thin(80))
	require.Len(t, f.Wheels, 80)
	assert.InEpsilon(t, 0.05, f.Wheels[0].Size, 1e-9)
	assert.InEpsilon(t, 0.4, f.Wheels[79].Size, 1e-9)
	onHand, widest := 0, 0.0
	for i, w := range f.Wheels {
		if w.Item != nil {
			onHand++
		}
		if i > 0 {
			widest = max(widest, w.Size/f.Wheels[i-1].Size)
		}
	}
	assert.Equal(t, 40, onHand, "every one on hand")
	assert.Less(t, widest, math.Pow(8, 4.5/199), "and no hole among them")
	assert.Zero(t, f.Thin(80))
	alike := Family{Wheels: slices.Repeat([]FamilyWheel{{Size: 0.1, Item: part}}, 100)}
	assert.Zero(t, alike.Thin(40), "of wheels alike no size is lost")
	assert.Len(t, alike.Wheels, 40)
}

// A plan's own pulley is one more size, where its belt bends round it and there is room.
func TestAPlansOwnPulleyIsOneMoreSize(t *testing.T) {
	f := stocked(t, "v-A")
	standard := len(f.Wheels)
	f.Fit(0.2573)
	require.Len(t, f.Wheels, standard+1)
	assert.True(t, slices.IsSortedFunc(f.Wheels, func(a, b FamilyWheel) int { return cmp.Compare(a.Size, b.Size) }))
	f.Fit(0.2573)
	f.Fit(f.Wheels[0].Size)
	f.Fit(0.02)
	f.Fit(0.41)
	assert.Len(t, f.Wheels, standard+1, "there already, too small for the belt, and too large")
}
