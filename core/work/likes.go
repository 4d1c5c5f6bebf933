package work

import (
	"math"

	q "jiriki/core/quantity"
)

// What of a like machine, or of like work, is known.
const (
	likePower   = "power"   // W of the motor it carries
	likeTorque  = "torque"  // N·m at the spindle
	likeInertia = "inertia" // kg·m² to be brought up to speed
	likePush    = "push"    // N a screw gives
)

// Like is a machine of a usual kind and the motors such machines carry, or work of a usual kind and what it takes.
type Like struct {
	ID   string  `json:"id"`
	Name string  `json:"name"`
	By   string  `json:"by" enum:"power,torque,inertia,push" doc:"What is known of it: W of its motor, N·m at the spindle, kg·m² to bring up to speed, N that a screw pushes"`
	Low  float64 `json:"low" doc:"The least of it, SI"`
	High float64 `json:"high" doc:"The most of it, SI"`
	Says string  `json:"says" doc:"The band in words"`
}

// UsualLoad tells that a job's load is what such work usually takes: nobody found out what this one does. The job's
// torque is the most of it, so that what does the job by it does it whatever it takes.
type UsualLoad struct {
	Of     string  // what work it is of
	Least  float64 // least of the band, as a share of the most; 0 where the load is the job's own
	Likely float64 // its middle, as a share of the most
}

// Is reports whether the load is a usual one.
func (u UsualLoad) Is() bool { return u.Least > 0 }

// usual is a band with its middle halfway on a log scale.
func (l *Like) usual() UsualLoad {
	return UsualLoad{Of: l.Name, Least: l.Low / l.High, Likely: math.Sqrt(l.Low / l.High)}
}

// dimension is what its band is given in.
func (l *Like) dimension() q.Dimension {
	switch l.By {
	case likeTorque:
		return q.Torque
	case likeInertia:
		return q.Inertia
	case likePush:
		return q.Force
	}
	return q.Power
}

// likes are typical motor powers, torques and masses by kind and size [common practice].
var likes = []Like{
	{ID: "bench-drill-13", Name: "Bench drill, 13 mm chuck", By: likePower, Low: 250, High: 550},
	{ID: "pillar-drill-20", Name: "Pillar drill, 20 mm", By: likePower, Low: 550, High: 1100},
	{ID: "bench-grinder-150", Name: "Bench grinder, 150 mm wheels", By: likePower, Low: 250, High: 400},
	{ID: "bench-grinder-200", Name: "Bench grinder, 200 mm wheels", By: likePower, Low: 400, High: 750},
	{ID: "belt-grinder-50", Name: "Belt grinder, 50 mm belt", By: likePower, Low: 750, High: 1500},
	{ID: "disc-sander-300", Name: "Disc sander, 300 mm", By: likePower, Low: 550, High: 1100},
	{ID: "wood-bandsaw-350", Name: "Wood bandsaw, 350 mm wheels", By: likePower, Low: 550, High: 1100},
	{ID: "metal-bandsaw", Name: "Metal bandsaw, small", By: likePower, Low: 370, High: 750},
	{ID: "power-hacksaw", Name: "Power hacksaw, 150 mm", By: likePower, Low: 250, High: 550},
	{ID: "bench-lathe-230", Name: "Bench lathe, 180–250 mm swing", By: likePower, Low: 400, High: 750},
	{ID: "lathe-300", Name: "Lathe, 300 mm swing", By: likePower, Low: 750, High: 1500},
	{ID: "small-mill", Name: "Small milling machine", By: likePower, Low: 400, High: 750},
	{ID: "shaper-300", Name: "Shaper, 300 mm stroke", By: likePower, Low: 550, High: 1100},
	{ID: "potters-wheel", Name: "Potter's wheel", By: likePower, Low: 250, High: 550},
	{ID: "dough-mixer", Name: "Dough or clay mixer, 20 kg", By: likePower, Low: 550, High: 1100},
	{ID: "wood-lathe-300", Name: "Wood lathe, 300 mm", By: likePower, Low: 370, High: 750},
	{ID: "small-fan", Name: "Shop fan, up to 600 mm", By: likePower, Low: 120, High: 550},
	{ID: "threading", Name: "A thread of M10 to M20 with a single point", By: likeTorque, Low: 4, High: 16},
	{ID: "roughing-bowls", Name: "Roughing a bowl of wood", By: likeTorque, Low: 5, High: 18},
	{ID: "turning-spindles", Name: "Turning spindles of wood", By: likeTorque, Low: 0.7, High: 2.6},
	{ID: "centring-clay", Name: "Centring 2 to 6 kg of clay", By: likeTorque, Low: 3.2, High: 13},
	{ID: "throwing-clay", Name: "Throwing large pots", By: likeTorque, Low: 2.4, High: 9.5},
	{ID: "trimming-clay", Name: "Trimming pots", By: likeTorque, Low: 0.8, High: 2.8},
	{ID: "stiff-dough", Name: "Stiff dough or clay, 10 to 20 kg", By: likeTorque, Low: 45, High: 170},
	{ID: "crushing-fruit", Name: "Apples, fed steadily", By: likeTorque, Low: 2.8, High: 11},
	{ID: "jammed-crusher", Name: "A crusher jammed, breaking free", By: likeTorque, Low: 9, High: 36},
	{ID: "drum-full", Name: "A drum of four to eight frames, full", By: likeInertia, Low: 0.7, High: 3.4},
	{ID: "drum-held", Name: "A drum of four to eight frames, held at speed", By: likeTorque, Low: 0.35, High: 1.4},
	{ID: "belt-conveyor", Name: "A belt of 2 to 4 m, loaded", By: likeTorque, Low: 4.5, High: 19},
	{ID: "feed-push", Name: "Feeding a carriage or table", By: likePush, Low: 220, High: 900},
	{ID: "axis-moved", Name: "Moving an axis without a cut", By: likePush, Low: 90, High: 360},
	{ID: "axis-held", Name: "Holding an axis against a cut", By: likePush, Low: 280, High: 1200},
}

// Likes returns the comparable machines and work, in the order they are offered, with their bands in a system of units.
func Likes(sys q.System) []Like {
	out := append([]Like(nil), likes...)
	for i := range out {
		l := &out[i]
		l.Says = q.Show(l.Low, l.dimension(), sys) + " to " + q.Show(l.High, l.dimension(), sys)
	}
	return out
}

func findLike(id string) (Like, bool) {
	for _, l := range likes {
		if l.ID == id {
			return l, true
		}
	}
	return Like{}, false
}
