package donor

import (
	"regexp"
	"strings"
)

// calledBy is what people call an old machine, by its ID; what is told of more closely stands first.
var calledBy = []struct {
	id    string
	words *regexp.Regexp
}{
	{"direct-drive-washer", named(`direct[ -]drive (?:washer|washing ?machine)`)},
	{"treadmill", named(`tread ?mill|walking machine|running machine`)},
	{"washing-machine", named(`wash(?:ing)?[ -]?machine|washer|laundry machine`)},
	{"dryer", named(`(?:tumble |clothes )?dr[iy]er`)},
	{"vacuum-cleaner", named(`vacuum(?: cleaner)?|hoover`)},
	{"kitchen-machine", named(`(?:kitchen|food|stand) ?(?:mixer|machine|processor)|blender`)},
	{"cordless-tool", named(`cordless (?:drill|tool|driver)`)},
	{"hand-tool", named(`(?:hand|electric|power) ?(?:drill|tool)|angle grinder|circular saw|router`)},
	{"furnace-blower", named(`furnace(?: blower)?|air handler`)},
	{"microwave", named(`microwave(?: oven)?`)},
	{"printer", named(`printer|copier|scanner`)},
	{"pump", named(`(?:pool|well|water|jet|sump) ?pump|pump`)},
	{"compressor", named(`(?:air )?compressor`)},
	{"table-saw", named(`table ?saw|bench ?saw`)},
	{"garage-door", named(`garage[ -]?door(?: opener)?|gate opener`)},
	{"e-bike", named(`e-?bike|electric bicycle|hub motor`)},
	{"scooter", named(`(?:mobility )?scooter|wheel ?chair|golf cart`)},
	{"floor-scrubber", named(`floor (?:scrubber|polisher|machine)`)},
	{"wire-feeder", named(`wire feeder|welder`)},
	{"car", named(`car (?:starter|wiper|window|alternator)|wiper|starter motor|alternator`)},
	{"conveyor", named(`conveyor`)},
	{"lift-gear", named(`lift gear|hoist|winch`)},
	{"sewing-machine", named(`sewing[ -]?machine`)},
	{"machine-tool", named(`machine tool|cnc`)},
	{"farm", named(`farm|grain auger|milking machine`)},
	{"fan", named(`fan`)},
}

func named(words string) *regexp.Regexp {
	return regexp.MustCompile(`(?:^|[^\p{L}])(?:` + words + `)s?(?:[^\p{L}]|$)`)
}

// Named is the old machine that a text speaks of, such as a washing machine motor; false where it speaks of none.
func Named(text string) (Donor, bool) {
	text = strings.ToLower(text)
	for _, c := range calledBy {
		if c.words.MatchString(text) {
			d, err := Find(c.id)
			return d, err == nil
		}
	}
	return Donor{}, false
}
