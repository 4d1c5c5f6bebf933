package reduction

import (
	"regexp"
	"strconv"
	"strings"

	q "jiriki/core/quantity"
)

var (
	inchChain   = regexp.MustCompile(`^(?:ANSI\s*|#\s*)?(\d)\d$`)
	metricChain = regexp.MustCompile(`^(?:ISO\s*)?(\d\d)[AB]$`)
)

// readPitch reads what a stage's teeth stand apart by: the pitch of a belt or chain, a chain's number, the module of
// gears or their diametral pitch.
func (s *Stage) readPitch(t q.Text, r *q.Reader) q.Value {
	allowed := q.Range{Min: 0.2e-3, Max: 0.1}
	switch s.Kind {
	case Spur, Worm:
		return r.ReadPerInch("pitch", t, allowed, "dp")
	case Chain:
		if pitch, ok := chainPitch(string(t)); ok {
			return q.Value{SI: pitch, Known: true}
		}
	}
	return r.Read("pitch", t, q.Length, allowed)
}

// chainPitch is the pitch (m) of a chain by its number: the first figure of an inch number, such as 40, is in eighths
// of an inch; the two before the letter of the other, such as 08B, in sixteenths [ANSI B29.1, ISO 606, from memory].
func chainPitch(number string) (float64, bool) {
	name := strings.ToUpper(strings.TrimSpace(number))
	const eighth = 0.0254 / 8
	if m := inchChain.FindStringSubmatch(name); m != nil {
		if n, _ := strconv.Atoi(m[1]); n >= 2 {
			return float64(n) * eighth, true
		}
	}
	if m := metricChain.FindStringSubmatch(name); m != nil {
		switch n, _ := strconv.Atoi(m[1]); n {
		case 5:
			return 8e-3, true
		case 4:
			return 6e-3, true
		case 0:
		default:
			return float64(n) * eighth / 2, true
		}
	}
	return 0, false
}
