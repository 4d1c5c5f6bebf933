package motor

import (
	"regexp"
	"strings"
)

// degree is a degree of protection: its second figure is against water [IEC 60529, from memory].
var degree = regexp.MustCompile(`(?i)\bIP\s*([0-6X])\s*([0-9X])`)

// splashProof is the second figure from which splashes from any side do no harm [IEC 60529, from memory].
const splashProof = '4'

// Splashed reports whether the motor is known to bear splashes: by its degree of protection, or by being called
// enclosed or sealed. What is not said is not known.
func (m *Resolved) Splashed() bool {
	if d := degree.FindStringSubmatch(m.Enclosure); d != nil {
		return d[2][0] >= splashProof && d[2][0] <= '9'
	}
	words := strings.ToLower(m.Enclosure)
	for _, no := range []string{"not ", "open", "drip", "non-enclosed", "semi", "part"} {
		if strings.Contains(words, no) {
			return false
		}
	}
	for _, yes := range []string{"enclosed", "sealed", "tefc", "tenv", "washdown", "splash", "waterproof"} {
		if strings.Contains(words, yes) {
			return true
		}
	}
	return false
}
