package slate

import (
	"strings"

	q "jiriki/core/quantity"
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
		return []Fill{{Field: "reduction.stages[0].kind", Text: "direct"}}
	case toothed && !f.has("pulley", "timing", "toothed belt"):
		kind := "spur"
		switch {
		case f.has("chain", "sprocket"):
			kind = "chain"
		case f.has("worm"):
			kind = "worm"
		}
		return stage(kind, teeth.a.number, teeth.b.number)
	case wheels:
		fills := a.pulleys()
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
		return stage("given", ratio.number, "1")
	case turning:
		return stage("given", speeds.a.number, speeds.b.number)
	}
	return []Fill{}
}
