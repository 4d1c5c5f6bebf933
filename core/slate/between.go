package slate

import (
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// straightWords say that nothing turns a motor's speed into another before the spindle.
var straightWords = []string{"straight", "direct", "coupled", "coupling", "nothing", "1:1", "1 : 1", "on the shaft"}

// Between is what stands between motor and spindle as somebody says it in a line: "60 mm driving 240 mm, 400 mm apart",
// "14 : 52 teeth, chain", "worm 1 : 30", "5 : 1", "straight". Entries of one stage; none where it cannot be read.
func Between(text string, sys q.System) []Fill {
	if len(text) > maxText || strings.TrimSpace(text) == "" {
		return []Fill{}
	}
	f := factsOf(text, sys)
	a := &asked{facts: f}
	_, wheels := f.pairs[wheelPair]
	teeth, toothed := f.pairs[toothPair]
	speeds, turning := f.pairs[speedPair]
	ratio, known := f.one(ratioKnown)
	switch {
	case f.has(straightWords...) && !wheels && !toothed:
		return []Fill{{Field: "reduction.stages[0].kind", Text: q.Text(reduction.Direct)}}
	case toothed && !f.has("pulley", "timing", "toothed belt"):
		return stage(f.kindOfStage(reduction.Spur), teeth.a.number, teeth.b.number)
	case wheels:
		p := f.pairs[wheelPair]
		fills := stage(f.kindOfStage(reduction.VBelt), a.sizeOf(p.a), a.sizeOf(p.b))
		for _, more := range []struct {
			as    role
			field string
		}{{centre, "reduction.stages[0].centre"}, {beltLength, "reduction.stages[0].belt"}} {
			if _, ok := f.one(more.as); ok {
				return append(fills, Fill{Field: more.field, Text: a.typedLength(more.as)})
			}
		}
		return fills
	case known:
		return stage(reduction.Given, ratio.number, "1")
	case turning:
		return stage(reduction.Given, speeds.a.number, speeds.b.number)
	}
	return []Fill{}
}

// stageWords tell what kind of stage a line speaks of.
var stageWords = []struct {
	kind  reduction.Kind
	words []string
}{
	{reduction.Worm, []string{"worm"}},
	{reduction.Chain, []string{"chain", "sprocket"}},
	{reduction.PolyV, []string{"poly", "micro-v", "ribbed"}},
	{reduction.Toothed, []string{"timing", "toothed belt"}},
	{reduction.Flat, []string{"flat"}},
	{reduction.LinkBelt, []string{"link belt"}},
}

// kindOfStage is the kind of stage a question speaks of.
func (f *facts) kindOfStage(usual reduction.Kind) reduction.Kind {
	for _, known := range stageWords {
		if f.has(known.words...) {
			return known.kind
		}
	}
	return usual
}
