package assesstest

import (
	"encoding/json"

	"pgregory.net/rapid"

	"jiriki/core/assess"
	"jiriki/core/finding"
	"jiriki/core/settings"
	"jiriki/core/working"
)

// once looks that what a list is keyed by stands in it once.
func once[T any, K ~string](t rapid.TB, what string, list []T, id func(T) K) {
	seen := map[K]bool{}
	for _, one := range list {
		if seen[id(one)] {
			t.Fatalf("two of the %s %q", what, id(one))
		}
		seen[id(one)] = true
	}
}

// CheckWhole fails where an answer is not finite, not in order, or keyed twice by the same.
func CheckWhole(t rapid.TB, a assess.Assessment) {
	// JSON cannot hold NaN or Inf, so encoding looks at every number there is.
	if _, err := json.Marshal(a); err != nil {
		t.Fatalf("not finite: %v", err)
	}
	if a.Headline == "" {
		t.Fatalf("no headline")
	}
	for i := range a.Reach.Positions {
		p := &a.Reach.Positions[i]
		for i := range p.RPM {
			c, b, k := p.Continuous[i], p.Intermittent[i], p.Peak[i]
			if c < 0 || c > b*1.000001 || b > k*1.000001 {
				t.Fatalf("limits out of order at %v rpm: %v, %v, %v", p.RPM[i], c, b, k)
			}
			if i > 0 && p.RPM[i] < p.RPM[i-1] {
				t.Fatalf("speeds fall at %d", i)
			}
		}
	}
	once(t, "finding", a.Findings, func(f finding.Finding) finding.ID { return f.ID })
	once(t, "job", a.Jobs, func(j assess.JobResult) string { return j.ID })
	once(t, "working", a.Workings, func(w working.Working) working.ID { return w.ID })
	once(t, "setting", a.Settings, func(s settings.Setting) working.ID { return s.Working })
	for i := range a.Findings[:max(len(a.Findings)-1, 0)] {
		if a.Findings[i].Level.Rank() > a.Findings[i+1].Level.Rank() {
			t.Fatalf("findings out of order")
		}
	}
}
