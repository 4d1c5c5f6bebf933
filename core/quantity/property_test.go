package quantity

import (
	"fmt"
	"math"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// What is shown reads back as itself, to the figures shown.
func TestParseUndoesShow(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		dim := Dimension(rapid.IntRange(int(Number), int(Temperature)).Draw(t, "dimension"))
		sys := rapid.SampledFrom([]System{Metric, Inch}).Draw(t, "system")
		figures := rapid.IntRange(3, 12).Draw(t, "figures")
		v := rapid.Float64Range(1e-3, 1e6).Draw(t, "value")
		if rapid.Bool().Draw(t, "negative") {
			v = -v
		}
		text := ShowFigures(v, dim, sys, figures)
		back, err := Parse(Text(text), dim)
		assert.NoError(t, err, text)
		size := math.Abs(v)
		if dim == Temperature {
			size += fahrenheitZero // the figures are those of its scale
		}
		assert.LessOrEqual(t, math.Abs(back-v), size*0.51*math.Pow10(1-figures), "%v shown as %s", v, text)
		assert.Equal(t, text, ShowFigures(back, dim, sys, figures), "showing again changes nothing")
	})
}

func FuzzParse(f *testing.F) {
	for _, seed := range []string{"3/4 hp", `1 3/8"`, "4.2 lb at 45 mm", "60 N·cm", "1,750", "½", "1e300 kW", "−5 A",
		"at at", "1 2/3 4"} {
		f.Add(seed, 3)
	}
	f.Fuzz(func(t *testing.T, text string, dim int) {
		kinds := len(dimensionNames)
		d := Dimension(((dim % kinds) + kinds) % kinds)
		v, err := Parse(Text(text), d)
		if err != nil {
			return
		}
		assert.False(t, math.IsNaN(v) || math.IsInf(v, 0), "%q read as %v", text, v)
	})
}

// What is shown reads back as the value rounded to its figures, whatever its size, and never with an
// exponent.
func TestFiguresReadBackRounded(t *testing.T) {
	plain := strings.NewReplacer(ThinSpace, "", "−", "-")
	rapid.Check(t, func(t *rapid.T) {
		v := math.Exp(rapid.Float64Range(-30, 30).Draw(t, "size"))
		if rapid.Bool().Draw(t, "negative") {
			v = -v
		}
		figures := rapid.IntRange(1, 12).Draw(t, "figures")
		shown := Figures(v, figures)
		got, err := strconv.ParseFloat(plain.Replace(shown), 64)
		if err != nil {
			t.Fatalf("%v shown as %q", v, shown)
		}
		want, err := strconv.ParseFloat(strconv.FormatFloat(v, 'e', figures-1, 64), 64)
		if err != nil {
			t.Fatal(err)
		}
		assert.InEpsilon(t, want, got, 1e-12, "%v to %d figures is %q", v, figures, shown)
		assert.NotContains(t, shown, "e")
		assert.False(t, strings.Contains(shown, ".") && strings.HasSuffix(shown, "0"), shown)
	})
}

// A half is rounded up, whatever binary makes of it; what is truly under a half goes down.
func TestAHalfIsRoundedUp(t *testing.T) {
	for figures := 1; figures <= 5; figures++ {
		for n := range 3000 {
			whole := int(math.Pow10(figures-1)) + n%int(9*math.Pow10(figures-1))
			for power := -2; power <= 4; power++ {
				half, err := strconv.ParseFloat(fmt.Sprintf("%d.5e%d", whole, power-figures+1), 64)
				require.NoError(t, err)
				up, err := strconv.ParseFloat(fmt.Sprintf("%de%d", whole+1, power-figures+1), 64)
				require.NoError(t, err)
				down, err := strconv.ParseFloat(fmt.Sprintf("%de%d", whole, power-figures+1), 64)
				require.NoError(t, err)
				if half < 1e-3 || half >= 1e6 {
					continue
				}
				for v, want := range map[float64]float64{half: up, half * (1 - 1e-7): down, half * (1 + 1e-7): up} {
					digits, at := significant(nil, v, figures)
					got, err := strconv.ParseFloat(string(digits)+"e"+strconv.Itoa(at-len(digits)+1), 64)
					require.NoError(t, err)
					require.InEpsilon(t, want, got, 1e-12, "%v to %d figures", v, figures)
				}
			}
		}
	}
	assert.Equal(t, "3.18"+ThinSpace+"mm", Show(inch/8, Length, Metric))
	assert.Equal(t, "2.68", Figures(2.675, 3))
}

// What is smaller than numbers go is nothing, and never not a number.
func TestTheSmallestNumbersAreRoundedToNothing(t *testing.T) {
	for _, v := range []float64{5e-324, 1e-310, -3e-308} {
		assert.Zero(t, Rounded(v))
	}
	assert.InEpsilon(t, 1.2346e-290, Rounded(1.23456e-290), 1e-9)
}
