package fault

import (
	"regexp"
	"slices"
	"strings"
)

// given are parts of a text that stand only where a line has something, such as {belt|Belt off. }, or has not, such as
// {!belt|Coupling off. }.
var given = regexp.MustCompile(`\{(!?)([a-z-]+)\|([^{}]*)\}`)

// say is a text in words of what a line has.
func (v *view) say(text string) string {
	if !strings.Contains(text, "{") {
		return text
	}
	return given.ReplaceAllStringFunc(text, func(part string) string {
		m := given.FindStringSubmatch(part)
		if v.lineHas(m[2]) == (m[1] == "") {
			return m[3]
		}
		return ""
	})
}

// mentioned are the things a text can stand or fall with.
var mentioned = map[string]predicate{
	"plug": onMains, "battery": onBattery, "one": oneLine, "three": threePhases, "drive": hasDrive, "knob": hasKnob,
	"belt": belted, "chained": chained, "brush": brushed, "thermal": thermal, "inverter": inverter,
	"brake-resistor": brakeResistor, "stepped": stepped, "magnets": magnets, "capacitor-set": capacitors,
	"gearbox": gearbox, "geared": geared, "field": woundOrSeries,
	"tachometer": tachoDrive, "hall": hall, "three-phase": threePhase, "links": threePhase, "armature-link": dcDrive,
	"turns-three": turnsThree, "turns-armature": turnsArm, "turns-field": turnsField,
	"turns-start": turnsStart, "turns-coil": turnsCoil, "turns-unknown": turnedBy(""),
}

// turnsRound is how each kind of motor is turned round, in place of exchanging any two leads.
const turnsRound = "{turns-three|Exchange any two of its three leads at the motor. }" +
	"{turns-armature|Exchange the two armature leads, and nothing else. }" +
	"{turns-field|Exchange the two armature leads and leave the field's, or the other way about; both together " +
	"change nothing. }" +
	"{turns-start|Exchange the two ends of the start winding as the plate's diagram shows; exchanging the supply's " +
	"two leads changes nothing. }" +
	"{turns-coil|Exchange the two ends of one winding, or the drive's direction. }" +
	"{turns-unknown|How depends on the motor's kind: choose it in the plan first. }" +
	"{plug|Unplugged}{battery|Isolated}, each lead marked and photographed before it is moved; then see which way " +
	"it turns with nothing screwed on."

func (v *view) lineHas(what string) bool {
	has, known := mentioned[what]
	return known && has(v)
}

func hasWord(list, word string) bool { return slices.Contains(strings.Fields(list), word) }
