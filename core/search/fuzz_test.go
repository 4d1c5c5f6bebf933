package search_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/build"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/search"
	"jiriki/core/shelf"
)

// No bounds, jobs or shelf, however strange, make a search or a build sheet fail otherwise than by
// naming a field, nor give a figure that is none.
func FuzzSearch(f *testing.F) {
	f.Add("80 mm", "280 mm", "400 mm", "60", "2 N·m", "v-A", "700 mm", uint8(2), true)
	f.Add("12", "300 mm", "", "0", "", "chain-12.7", "10 in", uint8(1), false)
	f.Add("-1", "1e308 m", "∞", "NaN", "1e-300", "rope", "0", uint8(9), true)
	f.Fuzz(func(t *testing.T, driver, driven, centre, speed, torque, kind, room string, stages uint8, cones bool) {
		in := search.Input{Input: plantest.FarApart()}
		in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{{Driver: q.Text(driver), Driven: q.Text(driven)}}
		in.Plan.Reduction.Stages[0].Centre = q.Text(centre)
		in.Machine.Jobs = in.Machine.Jobs[:1]
		in.Machine.Jobs[0].Speed.To, in.Machine.Jobs[0].Load.Torque = q.Text(speed), q.Text(torque)
		in.Shelf = []shelf.Item{{ID: "p", Sort: shelf.Pulley, Wheel: shelf.Wheel{Diameter: q.Text(driver),
			Teeth: q.Text(driven), Section: kind}}, {ID: "b", Sort: shelf.Belt, Length: q.Text(centre),
			Wheel: shelf.Wheel{Section: "A"}}}
		in.Ask = search.Ask{Kinds: []string{kind}, Stages: int(stages), Cones: cones, CentreMax: q.Text(room)}
		out, err := search.Search(in, nil)
		var fields q.FieldErrors
		if err != nil {
			require.ErrorAs(t, err, &fields)
			return
		}
		_, err = json.Marshal(out)
		require.NoError(t, err, "a figure that is no number")
		for _, found := range out.Found {
			assert.LessOrEqual(t, found.JobsDone, len(in.Machine.Jobs))
			taken := in.Input
			taken.Plan.Reduction = found.Plan
			_, err := build.Plan(taken)
			require.NoError(t, err)
		}
	})
}
