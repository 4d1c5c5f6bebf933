package work

import (
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// FromRest is how a job's machine comes to speed.
type FromRest struct {
	How    string `json:"how" enum:"load,idle," doc:"load: it starts with its load on, as when empty; idle: the load comes once it turns"`
	Torque q.Text `json:"torque" unit:"N·m|lbf·ft" doc:"Torque that just starts it, where that is known"`
}

// Starting is the torque asked for at rest.
type Starting struct {
	Torque float64 // N·m at the spindle; 0 where nothing holds it back
	By     string  // where it comes from, in words

	formula string
	ground  *source.Source
}

// restShare is what a load that grows with speed squared, or an idle machine whose own friction nobody has weighed,
// asks for at rest, as a share of its torque at the job's full load [common practice].
const restShare = 0.15

// readStart settles what must be overcome at rest, once the load is known. What was weighed or put in rules; else
// a load is started against its own torque, the most of it at the slow end, where it comes from rest.
func (n *Need) readStart(s FromRest, r *q.Reader) {
	idle := r.Choice("how", s.How, "load", "load", "idle") == "idle"
	torque := r.Read("torque", s.Torque, q.Torque, q.Range{Min: 1e-4, Max: 1e5})
	if n.Missing != "" {
		return
	}
	share, load := "T_start = 0.15·T", source.StartsLoaded
	switch {
	case torque.Known:
		n.Start = Starting{torque.SI, "as put in", "as entered", source.Typed}
	case n.Breakaway > 0:
		n.Start = Starting{n.Breakaway, "kept apart from the running pulls", "T = F·r·sin(angle), the largest pull",
			source.SpringScale}
	case idle:
		n.Start = Starting{restShare * n.Torque, "idle, its own friction guessed until it is pulled with a scale",
			share, load}
	case n.Shape == TorqueWithN:
		n.Start = Starting{restShare * n.Torque, "of its torque at full speed, as it grows with speed squared",
			share, load}
	case n.Method == ByInertia:
		n.Start = Starting{n.Spinning.Friction, "what rubs", "T_start = T_friction", source.Mechanics}
	default:
		n.Start = Starting{n.TorqueAt(n.Low), "its own load, at the slow end", "T_start = T", load}
	}
}
