package supply

import (
	"math"

	"jiriki/core/numeric"
)

// Full-load amps of motors by horsepower, which conductor and breaker of a motor on the line go by, not its plate
// [NEC tables 430.248 and 430.250, from memory]. Columns are volts of the motor.
var (
	tableSizes   = []float64{1.0 / 6, 1.0 / 4, 1.0 / 3, 1.0 / 2, 3.0 / 4, 1, 1.5, 2, 3, 5, 7.5, 10}
	singlePhase  = []float64{4.4, 5.8, 7.2, 9.8, 13.8, 16, 20, 24, 34, 56, 80, 100} // at 115 V
	threePhases  = []float64{2.2, 3.2, 4.2, 6.0, 6.8, 9.6, 15.2, 22, 28}            // at 230 V
	threeSizes   = []float64{1.0 / 2, 3.0 / 4, 1, 1.5, 2, 3, 5, 7.5, 10}
	singleAt     = 115.0
	threeAt      = 230.0
	largestTable = 10.0
)

// TableAmps is what the table has for a motor of so many horsepower at its plate's volts, between its rows straight,
// and by the volts as its columns go; false past its ends.
func TableAmps(horsepower, volts float64, three bool) (float64, bool) {
	sizes, amps, at := tableSizes, singlePhase, singleAt
	if three {
		sizes, amps, at = threeSizes, threePhases, threeAt
	}
	if horsepower < sizes[0]*0.99 || horsepower > largestTable*1.01 || volts <= 0 {
		return 0, false
	}
	row := numeric.Through(sizes, amps, math.Max)
	return row.At(horsepower) * at / volts, true
}
