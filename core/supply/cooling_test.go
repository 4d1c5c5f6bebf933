package supply

import (
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

// A square metre is 10.8 square feet, a cubic metre a minute 35.3 cubic feet [by definition of the foot].
func TestBoxesAreSaidInWhoReadsThem(t *testing.T) {
	assert.Equal(t, "1\u202fm²", AreaText(1, q.Metric))
	assert.Equal(t, "11\u202fft²", AreaText(1, q.Inch))
	assert.Equal(t, "36\u202fm³/h", FlowText(0.01, q.Metric))
	assert.Equal(t, "21\u202fft³/min", FlowText(0.01, q.Inch))
	assert.InEpsilon(t, 1.0, BoxArea(5.5*15), 1e-12, "5.5 W for each square metre and kelvin, at 15 K")
}
