package rank

import (
	"encoding/json"
	"errors"
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"jiriki/core/line"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
)

// Whatever is on the shelf, a ranking is finite, in order, and says of every motor why it is where
// it is; or the entry that cannot be used is named.
func TestAnyShelfIsRankedOrRefused(t *testing.T) {
	ranked := 0
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.AnyInput(t)
		in.Shelf = nil
		for i := range rapid.IntRange(0, 5).Draw(t, "shelf") {
			in.Shelf = append(in.Shelf, shelf.Item{ID: fmt.Sprint(i), Sort: shelf.Motor,
				Cost: plantest.OneOf(t, fmt.Sprint("cost ", i), q.Text(""), "12", "£30"),
				Motor: plantest.AnyMotor(t, fmt.Sprint("motor ",
					i))})
		}
		r, err := Motors(in)
		if err != nil {
			var fields q.FieldErrors
			if !errors.As(err, &fields) || fields[0].Field == "" {
				t.Fatalf("refused without a field: %v", err)
			}
			return
		}
		ranked++
		if _, err := json.Marshal(r); err != nil {
			t.Fatalf("not finite: %v", err)
		}
		for i, c := range r.Candidates {
			if c.Tried == (len(c.Missing) > 0) {
				t.Fatalf("%s: tried %v, missing %v", c.Name, c.Tried, c.Missing)
			}
			if i > 0 && c.beats(r.Candidates[i-1]) {
				t.Fatalf("%s stands behind %s but beats it", c.Name, r.Candidates[i-1].Name)
			}
			for _, points := range [][]line.CurvePoint{c.SameRatio, c.SameTop} {
				for k := range points {
					if points[k].Torque < 0 || k > 0 && points[k].RPM < points[k-1].RPM {
						t.Fatalf("%s: curve falls back at %d", c.Name, k)
					}
				}
			}
		}
		assert.LessOrEqual(t, len(r.Why), 2)
	})
	assert.Greater(t, ranked, 30)
}

// Another motor on the shelf never makes the best of it worse.
func TestAFullerShelfIsNeverWorse(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted(), plantest.Switched())
		all := fiftyMotors()
		n := rapid.IntRange(0, 6).Draw(t, "few")
		from := rapid.IntRange(0, 40).Draw(t, "from")
		in.Shelf = all[from : from+n]
		few, err := Motors(in)
		if err != nil {
			t.Fatal(err)
		}
		in.Shelf = all[from : from+n+3]
		more, err := Motors(in)
		if err != nil {
			t.Fatal(err)
		}
		assert.False(t, few.Candidates[0].beats(more.Candidates[0]))
	})
}
