package work

import (
	"regexp"
	"strings"
)

// called is what people call a kind of machine: words as they stand in its name. What is told of more closely stands
// before what its words hold: a cider mill is no mill.
type called struct {
	kind  string // empty for what sounds like a kind and is none
	words *regexp.Regexp
}

func names(kind, words string) called {
	return called{kind, regexp.MustCompile(`(?:^|[^\p{L}])(?:` + words + `)(?:s|es)?(?:[^\p{L}]|$)`)}
}

var calledBy = []called{
	names("feed", `(?:lathe|mill) (?:power |cross |table )?feed|(?:power|table|cross|lead " +
		"?screw|carriage|apron|z|x)[ -]?feed|feed (?:under|on|of|for|drive)|`+
		`lead ?screw(?: drive)?|feed ?box`),
	names("", `(?:coffee|spice|pepper|meat|surface|cylinder|angle|die|stump) grinder|tread ?mill|wind ?mill|`+
		`water ?mill|saw ?mill|rolling mill|pug ?mill|ball mill|pressure washer`),
	names("crusher", `(?:cider|apple|fruit|grape|grain|corn|malt|feed|flour|hammer|roller) (?:mill|grinder|press)|`+
		`crusher|scratter|shredder|chipper|pulper`),
	names("potters-wheel", `kick ?wheel|potter'?s?'?s? ?wheel|pottery ?wheel|throwing ?wheel|clay wheel|banding wheel`),
	names("wood-lathe", `wood(?:turning|working)? ?lathe|bowl ?lathe|spindle lathe for wood|lathe for wood|wood " +
		"turner`),
	names("lathe", `lathe|turning machine`),
	names("belt-sander", `belt[ -]?(?:grinder|sander|linisher)|(?:2|two)[ -]?(?:x|by|×)[ -]?72|knife grinder|`+
		`linisher|belt and disc sander|sander`),
	names("disc-sander", `dis[ck] (?:sander|grinder)`),
	names("bandsaw", `band ?saw`),
	names("hacksaw", `(?:power )?hack ?saw`),
	names("grinder", `(?:bench|pedestal|double[- ]ended|tool|off ?hand) grinder|grinder|grind(?:ing)? ?stone|buffer|`+
		`polisher|sharpener`),
	names("shaper", `shaper|shaping machine`),
	names("drill", `(?:bench |pillar |radial )?drill(?:ing)?(?: press| machine)?|pillar drill|tapping machine`),
	names("mill", `mill|milling machine|mill[- ]drill|router table`),
	names("mixer", `(?:dough|clay|mortar|cement|concrete|bread|feed)? ?mixer|stirrer|kneader|agitator`),
	names("extractor", `(?:honey )?extractor|centrifuge|spin dryer|ball tumbler`),
	names("conveyor", `conveyor|belt feeder|elevator|winch|hoist`),
	names("fan", `fan|blower|ventilator|dust collector|forge blower`),
	names("indexer", `index(?:er|ing head)|rotary table|dividing head|positioner|turntable`),
	names("feed", `feed`),
}

// KindNamed is the kind of machine that a name tells, such as a kick wheel; empty where it tells none.
func KindNamed(name string) string {
	name = strings.ToLower(strings.ReplaceAll(name, "’", "'"))
	kind, first := "", len(name)+1
	for _, c := range calledBy {
		if at := c.words.FindStringIndex(name); at != nil {
			// What stands first is what it is, "lathe beside the mill"; at one place the closer name rules.
			if start := at[0]; start < first {
				kind, first = c.kind, start
			}
		}
	}
	return kind
}
