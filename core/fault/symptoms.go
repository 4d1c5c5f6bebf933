// Package fault finds what is wrong with a line that does not do as it should: the causes its own stations can have,
// the symptom in the person's words, and one test after another, those first that tell most for the minutes and the
// danger they cost.
package fault

import "slices"

// Symptom is what is seen, heard, smelt or felt.
type Symptom struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	Stop  string `json:"stop" doc:"What to do at once, before anything is looked for; empty for nothing"`

	off bool // it was said to be left off: no test switches it on
}

// symptoms in the order they are offered.
var symptoms = []Symptom{
	symptom("dead", "Dead: nothing at all happens", ""),
	symptom("hums", "Hums, and will not start", "Switch it off at once: it burns as it stands."),
	symptom("spun", "Starts only when spun by hand", "Switch it off: a hand near a cutter is no starter."),
	symptom("slow-start", "Slow to come to speed", ""),
	symptom("no-drive", "The motor turns, the work does not", "Switch it off before anything is felt for."),
	symptom("trips-now", "Breaker trips at once", "Leave it off until it is found.").leftOff(),
	symptom("trips-later", "Breaker or overload trips after minutes", ""),
	symptom("trips-again", "Trips when restarted soon after a stop", ""),
	symptom("fuse", "A fuse blows", "Leave it off until it is found. Never a bigger fuse, nor wire in its "+
		"place.").leftOff(),
	symptom("full-at-zero", "Full speed with the knob at zero", "Use the stop, not the knob."),
	symptom("zero-first", "Dead until the knob has been at zero", ""),
	symptom("hunts", "Speed hunts up and down", ""),
	symptom("sags", "Slows down under load", ""),
	symptom("top-low", "Does not reach its top speed", ""),
	symptom("slow-fast", "Slow end is too fast", ""),
	symptom("one-speed", "One of its speeds is dead", ""),
	symptom("loses-steps", "Loses steps, or its place", ""),
	symptom("one-way", "Turns one way only", ""),
	symptom("wrong-way", "Turns the wrong way", "Nothing screwed on may turn backwards."),
	symptom("keeps-turning", "Keeps turning after stop", "Cut its power, and keep off until it stands. Leave it "+
		"off until "+
		"it is found.").leftOff(),
	symptom("starts-itself", "Starts by itself", "Cut its power. Do not use it until this is found.").leftOff(),
	symptom("squeal", "Squeals as it starts", ""),
	symptom("belt-dust", "Dust under the belt, belt worn", ""),
	symptom("belt-walks", "Belt wanders off its wheel", "Hands off a running belt."),
	symptom("shakes", "Shakes at one speed", "Do not stay at that speed."),
	symptom("rough", "Rough or grinding noise", ""),
	symptom("loud", "Louder than it was", ""),
	symptom("sparks", "Sparks round the brushes", ""),
	symptom("smell", "Smells, or smokes", "Cut its power and leave it off. Stand back until it has cooled.").leftOff(),
	symptom("hot", "Too hot to touch", "Switch it off and let it cool."),
	symptom("tacho", "Tachometer or meter reads nonsense", ""),
	symptom("tingle", "The frame tingles", "Cut its power now and leave it off. Nobody touches it until this is "+
		"found and it is earthed.").leftOff(),
	symptom("over-amps", "Drive shows over-current", ""),
	symptom("over-volts", "Drive shows over-volts", ""),
	symptom("under-volts", "Drive shows under-volts", ""),
	symptom("overload", "{drive|Drive}{!drive|Relay} shows overload", ""),
}

func symptom(id, words, stop string) Symptom { return Symptom{ID: id, Words: words, Stop: stop} }

// leftOff is a symptom with which it is left off.
func (s Symptom) leftOff() Symptom { s.off = true; return s }

// Symptoms are all there are, in the order they are offered.
func Symptoms() []Symptom { return symptoms }

func symptomOf(id string) (Symptom, bool) {
	i := slices.IndexFunc(symptoms, func(s Symptom) bool { return s.ID == id })
	if i < 0 {
		return Symptom{}, false
	}
	return symptoms[i], true
}
