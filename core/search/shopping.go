package search

import (
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/words"
)

// shopping parts what a candidate takes into what must be bought and what is on hand, sizes of a sort
// together; a part on hand serves once.
func shopping(c candidate, units q.System) (buy, onHand []string) {
	var toBuy, have shoppingList
	used := map[*shelf.Item]bool{}
	place := func(item *shelf.Item, sort, size string) {
		if item == nil || used[item] {
			toBuy.add(sort, size)
			return
		}
		used[item] = true
		have.add(words.Noun(item.Called()), size)
	}
	for _, steps := range c.stages {
		first := steps[0]
		wheel, belt := first.family.Blank.SoldAs()
		if len(steps) > 1 {
			toBuy.add("pair of cones with "+words.Count(len(steps))+" steps, turned to fit", "")
		} else {
			teeth := ""
			if first.family.Stage.Kind.Toothed() {
				teeth = " teeth"
			}
			place(first.driver.Item, wheel, string(first.driver.Text)+teeth)
			place(first.driven.Item, wheel, string(first.driven.Text)+teeth)
		}
		size := q.Show(reduction.OpenBelt(first.driver.Size, first.driven.Size, first.centre), q.Length, units)
		if first.belt != nil {
			size = string(first.belt.Length)
		}
		place(first.belt, belt, size)
	}
	return toBuy.words(), have.words()
}

// shoppingList gathers parts by sort.
type shoppingList struct {
	sorts []string
	sizes map[string][]string
}

func (p *shoppingList) add(sort, size string) {
	if p.sizes == nil {
		p.sizes = map[string][]string{}
	}
	if _, known := p.sizes[sort]; !known {
		p.sorts = append(p.sorts, sort)
	}
	p.sizes[sort] = append(p.sizes[sort], size)
}

func (p *shoppingList) words() []string {
	out := []string{}
	for _, sort := range p.sorts {
		sizes := p.sizes[sort]
		if len(sizes) > 1 {
			sort += "s"
		}
		out = append(out, strings.TrimSpace(sort+" "+strings.Join(sizes, ", ")))
	}
	return out
}
