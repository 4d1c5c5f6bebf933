package build

import (
	"slices"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/rank"
	"jiriki/core/words"
	"jiriki/core/work"
)

// Approach is one of the usual ways to a driven machine, with what it would cost from this shelf.
type Approach struct {
	ID       string `json:"id"`
	Name     string `json:"name"`
	Motor    string `json:"motor" doc:"The shelf's best of that sort; empty when there is none"`
	JobsDone int    `json:"jobsDone"`
	Jobs     int    `json:"jobs"`
	Tried    bool   `json:"tried"`
	Bill     Bill   `json:"bill"`
	Says     string `json:"says"`
}

// approaches are the three usual ways: a salvaged direct-current motor on a drive, three phases on an
// inverter, and a single-phase motor kept on cones.
func (b *builder) approaches() []Approach {
	return []Approach{
		b.approach("dc", "Salvaged direct current and a drive",
			"Cheap where exercise machines are scrapped; brushes wear, speed holds well, "+
				"torque at the slow end is good.",
			func(k motor.Kind) bool { return k.Family() == motor.DCFamily && k.Brushed() }, "school.drive",
			"Drive for direct current"),
		b.approach("three-phase", "Three phases and an inverter",
			"Nothing to wear but bearings; the inverter costs, and it loses torque slowly turned unless its fan is "+
				"its own.",
			func(k motor.Kind) bool { return k == motor.ThreePhase }, "school.inverter", "Inverter"),
		b.approach("cones", "Keep a single-phase motor, on cones",
			"No electronics to fail in dust and damp; the belt is moved by hand, and between the steps there is no "+
				"speed."+b.coneSpeeds(),
			func(k motor.Kind) bool { return k.Family() == motor.InductionFamily && k != motor.ThreePhase },
			"school.cones", "Pair of cone pulleys"),
	}
}

// coneSpeeds are the speeds that the steps of the plan's cone give, or those of the old motor's; nothing where there is
// no cone.
func (b *builder) coneSpeeds() string {
	var speeds []float64
	if len(b.Reduction.Positions) > 1 {
		for i := range b.Reduction.Positions {
			speeds = append(speeds, b.Motor.Speed.Value/b.Motor.Gear.Ratio/b.Reduction.Positions[i].Ratio)
		}
	} else {
		for i := range b.Machine.Jobs {
			if job := &b.Machine.Jobs[i]; job.Method == work.ByReplaced && len(job.Points) > 1 {
				for _, p := range job.Points {
					speeds = append(speeds, p.Omega)
				}
				break
			}
		}
	}
	if len(speeds) == 0 {
		return ""
	}
	slices.Sort(speeds)
	said := make([]string, len(speeds))
	for i, omega := range speeds {
		said[i] = b.show(omega, q.Speed)
	}
	return " Its steps give " + words.List(said) + "."
}

// approach finds the best candidate of a sort, from the plan and the shelf.
func (b *builder) approach(id, name, says string, sort func(motor.Kind) bool, part, partName string) Approach {
	s := Approach{ID: id, Name: name, Says: says, Jobs: len(b.Machine.Jobs)}
	var parts []Part
	best, tried := rank.BestOf(b.in, b.Stations, sort)
	if tried {
		s.Tried, s.Motor, s.JobsDone = true, best.Name, best.JobsDone
		bought := b.part("school.motor."+id, best.Name, "", "the motor")
		for _, item := range b.in.Shelf {
			if item.ID == best.ID && best.ID != "" {
				bought = bought.at(item.Price())
				bought.ID = "take." + item.ID
			}
		}
		parts = append(parts, bought)
	} else {
		parts = append(parts, b.part("school.motor."+id, "A motor of that sort", "",
			"none on the shelf that can be tried"))
	}
	second := b.part(part, partName, "", "to be bought")
	if best.ControlItem != nil && best.Control != control.Contactor {
		second = Part{ID: "take." + best.ControlItem.ID, Name: best.ControlItem.Called(),
			Why: "on the shelf"}.at(best.ControlItem.Price())
	}
	s.Bill = bill(append(parts, second))
	return s
}
