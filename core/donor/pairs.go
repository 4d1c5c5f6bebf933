package donor

// Pair is a retrofit that is often made: a machine, and the old machine its motor comes out of [common practice].
type Pair struct {
	Name    string `json:"name" doc:"As it is offered"`
	Machine string `json:"machine" doc:"What the machine is called until its owner says otherwise"`
	Kind    string `json:"kind" doc:"Its kind, as in the catalogue's machines"`
	Donor   string `json:"donor" doc:"The old machine, by its ID"`
}

// Pairs returns the retrofits that are often made, in the order they are offered.
func Pairs() []Pair {
	return []Pair{
		{"Kick wheel + washing machine's motor", "Kick wheel", "potters-wheel", "washing-machine"},
		{"Lathe + three-phase motor", "Lathe", "lathe", "conveyor"},
		{"Belt grinder + treadmill motor", "Belt grinder", "belt-sander", "treadmill"},
		{"Wood lathe + treadmill motor", "Wood lathe", "wood-lathe", "treadmill"},
		{"Honey extractor + scooter motor", "Honey extractor", "extractor", "scooter"},
		{"Drill press + dryer's motor", "Drill press", "drill", "dryer"},
	}
}
