package verdict

import (
	"strings"
)

// missingHows says how to find what a job still lacks, by the start of the field's path.
var missingHows = []struct{ field, how string }{
	{"speed.surface", "Surface speed and the diameters worked give the spindle speed. Choose what is cut and the " +
		"usual one is taken."},
	{"speed.diameter", "Surface speed and the diameters worked give the spindle speed."},
	{"speed.turns", "Turn it by hand as fast as suits the work and count turns against a clock."},
	{"speed.time", "How long did those turns take?"},
	{"speed.travel", "How fast must it travel, in mm a minute?"},
	{"speed.main", "Travel is given for each turn of another spindle: how fast does that turn?"},
	{"speed.lead", "How far does it go in one turn?"},
	{"speed.", "How fast must the spindle turn? Count turns against a clock if you can do it by hand."},
	{"load.power", "What power does it take at the spindle?"},
	{"load.torque", "Weigh the pull with a spring scale at a known radius, or put in a figure you trust."},
	{"load.points", "Two speeds at least, with the torque at each."},
	{"load.scale", "Hook a spring scale on at a known radius and write down the pulls."},
	{"load.cutting.specific", "The table has no cutting force for this material: weigh the pull, or put in a figure " +
		"of your own."},
	{"load.cutting", "The size of the cut gives its force."},
	{"load.comparable", "Choose a machine or work like it, or put in the motor such a one carries."},
	{"load.replaced", "Read the old motor's plate; a burnt one still has it."},
	{"load.inertia", "Diameter and weight of each part that turns, and the time it may take to reach speed."},
	{"load.pull", "Pull it with a spring scale in the line it moves, and measure the drum."},
	{"load.screw", "The push the screw must give, and how far it goes in one turn."},
	{"cut.material", "What is cut gives its cutting force."},
}

func missingHow(field string) string {
	for _, way := range missingHows {
		if strings.HasPrefix(field, way.field) {
			return way.how
		}
	}
	return "Fill this in."
}
