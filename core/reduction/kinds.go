package reduction

import (
	"strings"

	"jiriki/core/table"
)

// Profile is what is known of a kind of stage before any of it is measured [common practice]. It is the one
// place a kind is described in.
type Profile struct {
	Kind       Kind    `json:"kind"`
	Name       string  `json:"name"`
	Efficiency float64 `json:"-"` // a worm's follows from its lead
	Slip       float64 `json:"-"` // share of speed lost under load
	Belted     bool    `json:"belted" doc:"A belt wraps and flexes"`
	Meshed     bool    `json:"meshed" doc:"The wheels touch, so that their sizes set the distance"`
	Counted    bool    `json:"counted" doc:"Its wheels are counted in teeth"`
	Section    string  `json:"section" doc:"Section of belt taken where none is given; empty where there is none"`

	one, many   string // several of them in a title
	wheel, belt string // as they are sold, a section in place of the dot
}

// kinds in the order they are offered.
var kinds = table.Of(func(p Profile) Kind { return p.Kind }, []Profile{
	{
		Kind: VBelt, Name: "V belt", Efficiency: 0.95, Slip: 0.015, Belted: true, Section: "A",
		one: "belt", many: "belts", wheel: "pulley", belt: "· belt",
	},
	{
		Kind: LinkBelt, Name: "Link belt", Efficiency: 0.95, Slip: 0.015, Belted: true, Section: "A",
		one: "link belt", many: "link belts", wheel: "pulley", belt: "· link belt",
	},
	{
		Kind: PolyV, Name: "Poly-V belt", Efficiency: 0.96, Slip: 0.01, Belted: true, Section: "J",
		one: "poly-V belt", many: "poly-V belts", wheel: "poly-V pulley", belt: "poly-V · belt",
	},
	{
		Kind: Flat, Name: "Flat belt", Efficiency: 0.96, Slip: 0.025, Belted: true,
		one: "flat belt", many: "flat belts", wheel: "flat pulley", belt: "flat belt",
	},
	{
		Kind: Toothed, Name: "Toothed belt", Efficiency: 0.98, Belted: true, Counted: true,
		one: "toothed belt", many: "toothed belts", wheel: "toothed pulley", belt: "toothed belt",
	},
	{
		Kind: Chain, Name: "Chain", Efficiency: 0.97, Counted: true,
		one: "chain", many: "chains", wheel: "sprocket", belt: "chain",
	},
	{
		Kind: Spur, Name: "Spur or helical gears", Efficiency: 0.98, Meshed: true, Counted: true,
		one: "gear pair", many: "gear pairs", wheel: "gear",
	},
	{
		Kind: Worm, Name: "Worm and wheel", Meshed: true, Counted: true,
		one: "worm and wheel", many: "worms and wheels", wheel: "worm wheel",
	},
	{Kind: Given, Name: "A ratio, known or measured", Efficiency: 0.93, one: "ratio", many: "ratios"},
	{Kind: Direct, Name: "Coupled straight", Efficiency: 1},
}...)

// Profiles returns the kinds in the order they are offered.
func Profiles() []Profile { return kinds.All() }

// Profile returns what is known of the kind, which may not be changed; the zero Profile for no kind.
func (k Kind) Profile() *Profile {
	p, _ := kinds.Of(k)
	return p
}

// Toothed reports whether the stage's wheels are counted in teeth.
func (k Kind) Toothed() bool { return k.Profile().Counted }

// Bare reports whether such a stage has no wheels that are known: it is coupled straight, or a ratio and nothing more.
func (k Kind) Bare() bool { return k == Direct || k == Given }

// Belted reports whether the stage has a belt that wraps and flexes.
func (s *Stage) Belted() bool { return s.Kind.Profile().Belted }

// Slips reports whether what runs over the wheels slips past what it bears, and breaks nothing: teeth and chains do
// not.
func (s *Stage) Slips() bool { return s.Belted() && !s.Kind.Profile().Counted }

// Meshed reports whether the stage's wheels touch, so that their sizes set the centre distance.
func (s *Stage) Meshed() bool { return s.Kind.Profile().Meshed }

// SoldAs names the stage's wheels and what runs over them, as they are bought.
func (s *Stage) SoldAs() (wheel, belt string) {
	p := s.Kind.Profile()
	return p.wheel, strings.Replace(p.belt, "·", s.Section, 1)
}
