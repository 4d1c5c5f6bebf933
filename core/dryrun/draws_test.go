package dryrun

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"jiriki/core/work"
	"jiriki/core/working"
)

// A usual load is drawn over its whole band and no further; what was found otherwise about what was found.
func TestAUsualLoadIsDrawnOverItsBand(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		likely := rapid.Float64Range(0.2, 0.95).Draw(t, "likely")
		job := work.Need{Usual: work.UsualLoad{Least: likely * likely, Likely: likely}}
		assert.InEpsilon(t, 1, loadDrawn(&job, 1), 1e-12, "the most")
		assert.InEpsilon(t, likely, loadDrawn(&job, 0), 1e-12, "the middle")
		assert.InEpsilon(t, likely*likely, loadDrawn(&job, -1), 1e-12, "the least")
		at := rapid.Float64Range(-1, 1).Draw(t, "at")
		assert.LessOrEqual(t, loadDrawn(&job, at), 1+1e-12)
		assert.GreaterOrEqual(t, loadDrawn(&job, at), likely*likely*(1-1e-12))
	})
	stated := work.Need{Found: working.Read}
	assert.InEpsilon(t, 1+loadStated, loadDrawn(&stated, 1), 1e-12)
	assert.InEpsilon(t, 1-loadStated, loadDrawn(&stated, -1), 1e-12)
}
