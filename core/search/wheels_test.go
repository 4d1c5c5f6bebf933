package search

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// A belt from the shelf sets the centres where it fits between them, and counts as on hand.
func TestAShelfBeltSetsTheCentres(t *testing.T) {
	in := searching()
	s, err := plan.Resolve(in.Input)
	require.NoError(t, err)
	l := &searcher{Model: line.New(s), bounds: bounds{centreMax: 0.5}}
	f, ok := shelf.NewFamily("v-A", []shelf.Item{{ID: "b", Sort: shelf.Belt, Length: "1080 mm",
		Wheel: shelf.Wheel{Section: "A"}}}, 0.4,
		false, q.Metric)
	require.True(t, ok)
	small, large := &shelf.FamilyWheel{Size: 0.080, Text: "80 mm"}, &shelf.FamilyWheel{Size: 0.236, Text: "236 mm"}
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
	assert.Nil(t, l.pair(&f, &shelf.FamilyWheel{Size: 0.04}, &shelf.FamilyWheel{Size: 0.4}),
		"past what one stage reaches")
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
	assert.Equal(t, int16(9), best[0].worst)
	assert.False(t, best[0].trim)
	assert.Equal(t, 0.5, best[1].size)
	assert.Len(t, best[2].stages, 1)
	does := f.doneWithoutChange()
	assert.True(t, does(0b101))
	assert.False(t, does(0b1000))
}

// A shelf of hundreds of pulleys is searched, and says that it was thinned.
func TestAShelfOfManyPulleysIsSearched(t *testing.T) {
	in := searching()
	for i := range 600 {
		in.Shelf = append(in.Shelf, shelf.Item{Sort: shelf.Pulley, ID: fmt.Sprint(i),
			Wheel: shelf.Wheel{Diameter: q.Text(fmt.Sprintf("%g mm", 60+0.5*float64(i))),
				Section: "A"}})
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

// Wheels keep a finger's breadth apart, and the belt wraps a third of a turn [common practice]; eight answers are
// as many as are read.
func TestBoundsOfASearch(t *testing.T) {
	l := &searcher{}
	assert.InDelta(t, 0.110, l.leastCentre(0.1, 0.1), 1e-9)
	assert.InDelta(t, 1.02*0.4, l.leastCentre(0.05, 0.45), 1e-9)

	front := newFront()
	for i := range 12 {
		c := candidate{done: 1 << i, stages: [][]*pair{{}}}
		front.cells[c.cell()] = c
	}
	assert.Len(t, front.best(), 8)
}

func TestUsualBoundsOfASearch(t *testing.T) {
	var stock []shelf.Item
	for mm := 100; mm < 190; mm++ {
		stock = append(stock, shelf.Item{Sort: "pulley", State: "works",
			Wheel: shelf.Wheel{Diameter: q.Text(fmt.Sprintf("%d mm", mm)), Section: "A"}})
	}
	model := &line.Model{}
	b, err := Ask{FromShelf: true}.bounds(model, stock, q.Metric)
	require.NoError(t, err)
	assert.InDelta(t, 0.7, b.centreMax, 1e-12)
	assert.InDelta(t, 0.4, b.largest, 1e-12)
	assert.Equal(t, 10, b.leftOut, "eighty sizes are gone through")
	b, err = Ask{FromShelf: true, Cones: true}.bounds(model, stock, q.Metric)
	require.NoError(t, err)
	assert.Equal(t, 50, b.leftOut, "forty, with cones in two stages")

	l := &searcher{bounds: bounds{centreMax: 5}}
	wheel := func(size float64) *shelf.FamilyWheel { return &shelf.FamilyWheel{Size: size} }
	assert.NotNil(t, l.pair(b.families[0], wheel(0.1), wheel(0.8)))
	assert.Nil(t, l.pair(b.families[0], wheel(0.1), wheel(0.801)), "one stage reaches eight to one")
}
