package reduction

import "math"

// chainWatts are the watts that plates and rollers of one strand of roller chain of a pitch (m) last for over a
// small sprocket of so many teeth turning at revs (over 0) turns a second; it carries the lesser:
//
//	plates:  0.004·N^1.08·n^0.9·p^(3 − 0.07p)
//	rollers: 1000·K_r·N^1.5·p^0.8 / n^1.5, K_r 29 for 1/4 and 3/8 in, 17 from 1/2 in
//
// in hp with n in rpm and p in inches. Source: the American Chain Association's formulas as in
// Shigley, section 17-5, from memory.
func chainWatts(pitch, teeth, revs float64) (plates, rollers float64) {
	p, n := pitch/inch, revs*60
	plates = 0.004 * math.Pow(teeth, 1.08) * math.Pow(n, 0.9) * math.Pow(p, 3-0.07*p)
	k := 17.0
	if p < 0.45 {
		k = 29
	}
	rollers = 1000 * k * math.Pow(teeth, 1.5) * math.Pow(p, 0.8) / math.Pow(n, 1.5)
	return plates * horsepower, rollers * horsepower
}

// slowestChain is the chain speed (m/s) below which its plates' fatigue no longer tells [common practice].
const slowestChain = 0.05

// chainPull is the pull of a chain's strands over a small sprocket: the lesser of two powers over speed,
// which go with v^0.9 and v^−1.5.
func chainPull(pitch, teeth, strands float64) Pull {
	plates, rollers := chainWatts(pitch, teeth, 1/(teeth*pitch)) // at 1 m/s
	return Pull{form: chainForm, level: strands * plates, square: strands * rollers, slowest: slowestChain}
}

// ChainLength returns how many pitches of chain go round sprockets of n1 and n2 teeth on centres
// of c pitches; in practice the next even number is taken.
//
//	L/p = 2C/p + (N1 + N2)/2 + (N2 − N1)² / (4π²·C/p)
//
// Source: Shigley, equation 17-34, from memory.
func ChainLength(n1, n2, c float64) float64 {
	return 2*c + (n1+n2)/2 + (n2-n1)*(n2-n1)/(4*math.Pi*math.Pi*c)
}

// strandFactor is what several strands carry together [Shigley, table 17-23, from memory].
func strandFactor(strands float64) float64 {
	switch {
	case strands < 2:
		return 1
	case strands < 3:
		return 1.7
	case strands < 4:
		return 2.5
	}
	return 3.3
}
