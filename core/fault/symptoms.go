// Package fault finds what is wrong with a line that does not do as it should: the causes its own stations can have,
// the
// symptom in the person's words, and one test after another, those first that tell most for the minutes and the danger
// they cost.
package fault

import "slices"

// Symptom is what is seen, heard, smelt or felt.
type Symptom struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	Stop  string `json:"stop" doc:"What to do at once, before anything is looked for; empty for nothing"`
}

// symptoms in the order they are offered.
var symptoms = []Symptom{
	{"dead", "Dead: nothing at all happens", ""},
	{"hums", "Hums, and will not start", "Switch it off at once: it burns as it stands."},
	{"spun", "Starts only when spun by hand", "Switch it off: a hand near a cutter is no starter."},
	{"slow-start", "Slow to come to speed", ""},
	{"trips-now", "Breaker trips at once", "Leave it off until it is found."},
	{"trips-later", "Breaker or overload trips after minutes", ""},
	{"trips-again", "Trips when restarted soon after a stop", ""},
	{"fuse", "A fuse blows", "Never a bigger fuse, nor wire in its place."},
	{"full-at-zero", "Full speed with the knob at zero", "Use the stop, not the knob."},
	{"zero-first", "Dead until the knob has been at zero", ""},
	{"hunts", "Speed hunts up and down", ""},
	{"sags", "Slows down under load", ""},
	{"top-low", "Does not reach its top speed", ""},
	{"slow-fast", "Slow end is too fast", ""},
	{"one-way", "Turns one way only", ""},
	{"wrong-way", "Turns the wrong way", "Nothing screwed on may turn backwards."},
	{"keeps-turning", "Keeps turning after stop", "Pull the plug, and keep off until it stands."},
	{"starts-itself", "Starts by itself", "Pull the plug. Do not use it until this is found."},
	{"squeal", "Squeals as it starts", ""},
	{"belt-dust", "Dust under the belt, belt worn", ""},
	{"shakes", "Shakes at one speed", "Do not stay at that speed."},
	{"rough", "Rough or grinding noise", ""},
	{"sparks", "Sparks round the brushes", ""},
	{"smell", "Smells, or smokes", "Unplug it. Stand back until it has cooled."},
	{"hot", "Too hot to touch", "Unplug it and let it cool."},
	{"tacho", "Tachometer or meter reads nonsense", ""},
	{"tingle", "The frame tingles", "Unplug it now. Nobody touches it until it is earthed."},
	{"over-amps", "Drive shows over-current", ""},
	{"over-volts", "Drive shows over-volts", ""},
	{"under-volts", "Drive shows under-volts", ""},
	{"overload", "Drive or relay shows overload", ""},
}

// Symptoms are all there are, in the order they are offered.
func Symptoms() []Symptom { return symptoms }

func symptomOf(id string) (Symptom, bool) {
	i := slices.IndexFunc(symptoms, func(s Symptom) bool { return s.ID == id })
	if i < 0 {
		return Symptom{}, false
	}
	return symptoms[i], true
}
