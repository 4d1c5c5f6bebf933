// Package identify tells what kind of motor lies on the bench from what can be seen and metered,
// unplugged. It always asks for the one thing that would tell most, takes "can't tell" for an
// answer, and says why at every step. It also sorts the leads of a winding, finds a thermal switch
// among them and judges a capacitor and start switch.
package identify

import "jiriki/core/motor"

// Clue is one thing to look at or measure.
type Clue struct {
	ID      string   `json:"id"`
	Ask     string   `json:"ask" doc:"The question"`
	How     string   `json:"how" doc:"How to look or measure, safely"`
	Figure  string   `json:"figure" doc:"Name of the drawing that shows it"`
	Answers []Answer `json:"answers" nullable:"false"`
}

// Answer is one way a clue can turn out. Why finishes the sentence "it is likelier because…".
type Answer struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	Why   string `json:"-"`
}

// clues in no order of asking: what has been answered decides that.
var clues = []Clue{
	{
		ID:  "plate",
		Ask: "What does the plate say of its supply?",
		How: "Words, signs or volts on the plate or on the machine it came from. AC is a wave or ~, DC two lines " +
			"or a battery.",
		Figure: "plate",
		Answers: []Answer{
			{"three", "Three phases, 3~, or 400 V class", "the plate names three phases"},
			{"one", "One phase of mains, ~, with hertz", "the plate asks for mains with its hertz"},
			{"acdc", "Mains, but no hertz or both AC and DC", "the plate takes either current"},
			{"dc", "Direct volts: V DC, or a battery's", "the plate asks for direct current"},
			{"step", "Degrees or volts and amps per phase", "the plate speaks of steps or phases"},
		},
	},
	{
		ID:  "brushes",
		Ask: "Are there brushes?",
		How: "Two caps or clips opposite each other near one end, with a carbon block and spring under each. " +
			"Unplugged.",
		Figure: "brushes",
		Answers: []Answer{
			{"yes", "Yes, two or four carbon brushes", "it has brushes"},
			{"no", "No brushes anywhere", "it has no brushes"},
		},
	},
	{
		ID:     "stator",
		Ask:    "Look past the rotor: what stands round it?",
		How:    "Through the vents or the open end.",
		Figure: "stator",
		Answers: []Answer{
			{"magnets", "Smooth curved magnets; a screwdriver sticks", "magnets stand round its rotor"},
			{"coils", "Coils of wire on iron", "coils stand round its rotor"},
			{"bands", "Coils, and a thick copper band round part of each pole", "copper bands shade its poles"},
			{"teeth", "Many fine teeth, rotor and all", "it is toothed like a gear inside"},
			{"outside", "The outside turns, and coils stand still within", "its outside turns round the coils"},
		},
	},
	{
		ID:  "capacitors",
		Ask: "Is there a capacitor?",
		How: "A round can or a silver or plastic one, on the shell or on two leads nearby. Discharge it through a " +
			"resistor before touching.",
		Figure: "capacitors",
		Answers: []Answer{
			{"none", "None", "it has no capacitor"},
			{"start", "One black round can, tens to hundreds of µF", "its one capacitor is a starting one"},
			{"run", "One silver or plastic one, under about 60 µF", "its one capacitor is a running one"},
			{"two", "Two of them", "it has two capacitors"},
		},
	},
	{
		ID:     "click",
		Ask:    "Spin it down by hand or listen to it coast: is there a click?",
		How:    "A centrifugal switch drops back with a click as it slows. Turn the shaft fast by hand, unplugged.",
		Figure: "click",
		Answers: []Answer{
			{"yes", "A click as it slows", "a switch clicks as it slows"},
			{"no", "No click", "no switch clicks as it slows"},
		},
	},
	{
		ID:     "shorted",
		Ask:    "Twist the two thickest leads together: is the shaft stiffer to turn?",
		How:    "Unplugged, leads off everything. Feel it before and after.",
		Figure: "shorted",
		Answers: []Answer{
			{"stiffer", "Clearly stiffer", "it turns stiffer with its leads shorted, as magnets make it"},
			{"same", "No difference", "shorting its leads makes no difference"},
		},
	},
	{
		ID:     "detents",
		Ask:    "Turn it slowly with the leads apart: how does it feel?",
		How:    "By hand, nothing connected.",
		Figure: "detents",
		Answers: []Answer{
			{"smooth", "Smooth", "it turns smoothly"},
			{"few", "A few strong lumps in a turn", "it cogs a few times in a turn"},
			{"many", "Many fine steps, like a ratchet", "it clicks round in many fine steps"},
		},
	},
	{
		ID:     "leads",
		Ask:    "How many thick leads come out?",
		How:    "Leave out the earth lead and any that are clearly thinner.",
		Figure: "leads",
		Answers: []Answer{
			{"two", "Two", "two thick leads come out"},
			{"three", "Three", "three thick leads come out"},
			{"four", "Four to six", "four to six thick leads come out"},
			{"many", "Seven or more", "many leads come out"},
		},
	},
	{
		ID:     "thin",
		Ask:    "Are there thin extra leads?",
		How:    "Thinner than the rest, often with a plug of their own.",
		Figure: "thin",
		Answers: []Answer{
			{"none", "None", "there are no thin leads"},
			{"pair", "A pair", "a thin pair comes out"},
			{"five", "Four or more, to a small board or plug", "a small board's leads come out"},
		},
	},
	{
		ID:     "ohms",
		Ask:    "Measure between the leads, two at a time: what do the readings look like?",
		How:    "Leads off everything, shaft still. Note each pair.",
		Figure: "ohms",
		Answers: []Answer{
			{"alike", "Three leads, all three readings alike", "all its readings are alike"},
			{
				"sum", "Three leads, the highest about the other two together",
				"its highest reading is the sum of the other two",
			},
			{"jumps", "Jumps about as the shaft turns", "its resistance jumps as it turns, as brushes make it"},
			{"pairs", "Two or more pairs with nothing between them", "its leads fall into separate pairs"},
			{"steady", "One steady reading between two leads", "it has one steady winding"},
		},
	},
	{
		ID:     "speed",
		Ask:    "How fast did it turn in its machine?",
		How:    "As the old machine ran, or by its plate.",
		Figure: "speed",
		Answers: []Answer{
			{"howl", "Howling, over 8000 rpm", "it howled past 8000 rpm"},
			{"mains", "Steady near 900, 1450 or 2900 (or 1100, 1750, 3500)", "it ran at a mains speed"},
			{"any", "At whatever was dialled", "it ran at whatever was dialled"},
		},
	},
	{
		ID:     "rotor",
		Ask:    "What does the rotor look like?",
		How:    "Through the vents.",
		Figure: "rotor",
		Answers: []Answer{
			{"commutator", "Windings, and a ring of copper bars at one end", "its rotor has a commutator"},
			{"cage", "Smooth iron with slanting lines, nothing wound", "its rotor is a plain cage"},
			{"magnet", "A smooth or ringed magnet", "its rotor is a magnet"},
		},
	},
}

// odds are how often a motor of a kind answers a clue so, in hundredths [common practice]. What is
// left over is spread among the answers not named, so that no answer rules a kind out for good.
type odds map[string]map[string]int

var kindOdds = map[motor.Kind]odds{
	motor.PermanentMagnetDC: {
		"plate": {"dc": 90, "one": 4}, "brushes": {"yes": 97}, "stator": {"magnets": 93, "coils": 3},
		"capacitors": {"none": 93, "run": 5}, "click": {"no": 98},
		"shorted": {"stiffer": 95}, "detents": {"few": 50, "smooth": 48}, "leads": {"two": 93, "four": 5},
		"thin": {"none": 60, "pair": 37}, "ohms": {"jumps": 75, "steady": 18, "pairs": 5},
		"speed": {"any": 85, "howl": 5}, "rotor": {"commutator": 96},
	},
	motor.WoundDC: {
		"plate": {"dc": 90, "acdc": 5}, "brushes": {"yes": 97}, "stator": {"coils": 95}, "capacitors": {"none": 95},
		"click":   {"no": 98},
		"shorted": {"same": 90}, "detents": {"smooth": 95}, "leads": {"four": 88, "two": 8},
		"thin": {"none": 80, "pair": 15}, "ohms": {"pairs": 70, "jumps": 25}, "speed": {"any": 70, "mains": 25},
		"rotor": {"commutator": 96},
	},
	motor.Universal: {
		"plate": {"acdc": 50, "one": 46}, "brushes": {"yes": 97}, "stator": {"coils": 95},
		"capacitors": {"none": 70, "run": 28}, "click": {"no": 98},
		"shorted": {"same": 92}, "detents": {"smooth": 95}, "leads": {"two": 60, "four": 33, "many": 5},
		"thin": {"none": 60, "pair": 35}, "ohms": {"jumps": 80, "steady": 10, "pairs": 7},
		"speed": {"howl": 85, "any": 12}, "rotor": {"commutator": 96},
	},
	motor.ThreePhase: {
		"plate": {"three": 93}, "brushes": {"no": 98}, "stator": {"coils": 96}, "capacitors": {"none": 95},
		"click":   {"no": 97},
		"shorted": {"same": 96}, "detents": {"smooth": 96}, "leads": {"three": 55, "four": 35, "many": 9},
		"thin": {"none": 75, "pair": 22}, "ohms": {"alike": 68, "pairs": 30}, "speed": {"mains": 88, "any": 10},
		"rotor": {"cage": 96},
	},
	motor.SplitPhase: {
		"plate": {"one": 93}, "brushes": {"no": 98}, "stator": {"coils": 95}, "capacitors": {"none": 92},
		"click":   {"yes": 85},
		"shorted": {"same": 96}, "detents": {"smooth": 97}, "leads": {"two": 30, "three": 40, "four": 28},
		"thin": {"none": 85, "pair": 13}, "ohms": {"sum": 50, "pairs": 27, "steady": 20}, "speed": {"mains": 95},
		"rotor": {"cage": 96},
	},
	motor.CapacitorStart: {
		"plate": {"one": 95}, "brushes": {"no": 98}, "stator": {"coils": 95}, "capacitors": {"start": 88, "run": 7},
		"click":   {"yes": 90},
		"shorted": {"same": 96}, "detents": {"smooth": 97}, "leads": {"two": 40, "three": 25, "four": 33},
		"thin": {"none": 85, "pair": 13}, "ohms": {"sum": 40, "pairs": 35, "steady": 22}, "speed": {"mains": 96},
		"rotor": {"cage": 96},
	},
	motor.CapacitorRun: {
		"plate": {"one": 95}, "brushes": {"no": 98}, "stator": {"coils": 95}, "capacitors": {"two": 94},
		"click":   {"yes": 85},
		"shorted": {"same": 96}, "detents": {"smooth": 97}, "leads": {"two": 35, "three": 25, "four": 38},
		"thin": {"none": 85, "pair": 13}, "ohms": {"sum": 40, "pairs": 38, "steady": 20}, "speed": {"mains": 96},
		"rotor": {"cage": 96},
	},
	motor.PermanentSplit: {
		"plate": {"one": 95}, "brushes": {"no": 98}, "stator": {"coils": 95}, "capacitors": {"run": 92},
		"click":   {"no": 97},
		"shorted": {"same": 96}, "detents": {"smooth": 97}, "leads": {"three": 60, "four": 25, "many": 10},
		"thin": {"none": 85, "pair": 13}, "ohms": {"sum": 78, "pairs": 12, "alike": 6}, "speed": {"mains": 92},
		"rotor": {"cage": 96},
	},
	motor.ShadedPole: {
		"plate": {"one": 95}, "brushes": {"no": 98}, "stator": {"bands": 94}, "capacitors": {"none": 95},
		"click":   {"no": 98},
		"shorted": {"same": 97}, "detents": {"smooth": 96}, "leads": {"two": 85, "three": 7, "four": 6},
		"thin": {"none": 92}, "ohms": {"steady": 88}, "speed": {"mains": 90}, "rotor": {"cage": 95},
	},
	motor.TwoSpeed: {
		"plate": {"one": 88, "three": 9}, "brushes": {"no": 98}, "stator": {"coils": 95},
		"capacitors": {"none": 55, "run": 25, "start": 15}, "click": {"yes": 65},
		"shorted": {"same": 96}, "detents": {"smooth": 97}, "leads": {"four": 50, "many": 44},
		"thin": {"none": 82, "pair": 14}, "ohms": {"pairs": 72, "sum": 22}, "speed": {"mains": 95},
		"rotor": {"cage": 96},
	},
	motor.Brushless: {
		"plate": {"dc": 82, "three": 5}, "brushes": {"no": 98}, "stator": {"outside": 50, "coils": 45},
		"capacitors": {"none": 96}, "click": {"no": 98},
		"shorted": {"stiffer": 95}, "detents": {"few": 88, "smooth": 8}, "leads": {"three": 94},
		"thin": {"five": 60, "none": 37}, "ohms": {"alike": 92}, "speed": {"any": 90, "howl": 7},
		"rotor": {"magnet": 92},
	},
	motor.Stepper: {
		"plate": {"step": 75, "dc": 22}, "brushes": {"no": 98}, "stator": {"teeth": 88, "coils": 8},
		"capacitors": {"none": 97}, "click": {"no": 98},
		"shorted": {"stiffer": 88}, "detents": {"many": 95}, "leads": {"four": 88, "many": 9}, "thin": {"none": 94},
		"ohms": {"pairs": 93}, "speed": {"any": 94}, "rotor": {"magnet": 55, "cage": 20},
	},
	motor.Servo: {
		"plate": {"three": 35, "step": 15, "dc": 35}, "brushes": {"no": 90}, "stator": {"coils": 90},
		"capacitors": {"none": 97}, "click": {"no": 98},
		"shorted": {"stiffer": 94}, "detents": {"few": 60, "smooth": 38}, "leads": {"three": 82, "four": 14},
		"thin": {"five": 92}, "ohms": {"alike": 90}, "speed": {"any": 95}, "rotor": {"magnet": 92},
	},
}

// commonness is how often each kind turns up on a bench, in hundredths [common practice].
var commonness = map[motor.Kind]int{
	motor.PermanentMagnetDC: 16, motor.WoundDC: 3, motor.Universal: 13, motor.ThreePhase: 12, motor.SplitPhase: 9,
	motor.CapacitorStart: 11,
	motor.CapacitorRun:   5,
	motor.PermanentSplit: 9, motor.ShadedPole: 6, motor.TwoSpeed: 4, motor.Brushless: 6, motor.Stepper: 5,
	motor.Servo: 2,
}

// likelihood is the chance that a motor of a kind answers a clue so.
func likelihood(kind motor.Kind, clue Clue, answer string) float64 {
	named := kindOdds[kind][clue.ID]
	if h, ok := named[answer]; ok {
		return float64(h) / 100
	}
	left, others := 100, 0
	for _, a := range clue.Answers {
		if h, ok := named[a.ID]; ok {
			left -= h
		} else {
			others++
		}
	}
	return max(float64(left)/100/float64(max(others, 1)), 0.005)
}
