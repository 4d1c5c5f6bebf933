package line

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
)

// School is one of the usual ways to a driven machine, with what it would cost from this shelf.
type School struct {
	ID       string `json:"id"`
	Name     string `json:"name"`
	Motor    string `json:"motor" doc:"The shelf's best of that sort; empty when there is none"`
	JobsDone int    `json:"jobsDone"`
	Jobs     int    `json:"jobs"`
	Tried    bool   `json:"tried"`
	Bill     Bill   `json:"bill"`
	Says     string `json:"says"`
}

// schools are the three usual ways: a salvaged direct-current motor on a drive, three phases on an
// inverter, and a single-phase motor kept on cones.
func (b *builder) schools() []School {
	c := &contest{in: b.in, s: b.Stations}
	out := []School{
		b.school(c, "dc", "Salvaged direct current and a drive", "Cheap where exercise machines are scrapped; brushes wear, speed holds well, torque at the slow end is good.",
			func(k motor.Kind) bool { return k.Family() == motor.DCFamily && k.Brushed() }, "school.drive", "Drive for direct current"),
		b.school(c, "three-phase", "Three phases and an inverter", "Nothing to wear but bearings; the inverter costs, and it loses torque slowly turned unless its fan is its own.",
			func(k motor.Kind) bool { return k == motor.ThreePhase }, "school.inverter", "Inverter"),
		b.school(c, "cones", "Keep a single-phase motor, on cones", "No electronics to fail in dust and damp; the belt is moved by hand, and between the steps there is no speed.",
			func(k motor.Kind) bool { return k.Family() == motor.InductionFamily && k != motor.ThreePhase }, "school.cones", "Pair of cone pulleys"),
	}
	return out
}

// school finds the best contender of a sort, from the plan and the shelf.
func (b *builder) school(c *contest, id, name, says string, sort func(motor.Kind) bool, part, partName string) School {
	s := School{ID: id, Name: name, Says: says, Jobs: len(b.Machine.Jobs)}
	var best Contender
	consider := func(item shelf.Item) {
		if m := motor.Resolve(item.Motor, q.NewReader("")); !sort(m.Kind) || !m.Ready() {
			return
		}
		if one := c.contend(item); one.Tried && (!best.Tried || one.beats(best)) {
			best = one
		}
	}
	consider(shelf.Item{Sort: shelf.Motor, Motor: b.in.Plan.Motor})
	for _, item := range b.in.Shelf {
		if item.Is(shelf.Motor) && item.State != "for-parts" {
			consider(item)
		}
	}
	var parts []Part
	if best.Tried {
		s.Tried, s.Motor, s.JobsDone = true, best.Name, best.JobsDone
		bought := b.part("school.motor."+id, best.Name, "", "the motor")
		for _, item := range b.in.Shelf {
			if item.ID == best.ID && best.ID != "" {
				price := item.Price()
				bought.Cost, bought.Costed = tidy(price.SI), price.Known
				bought.ID = "take." + item.ID
			}
		}
		parts = append(parts, bought)
	} else {
		parts = append(parts, b.part("school.motor."+id, "A motor of that sort", "", "none on the shelf that can be tried"))
	}
	second := b.part(part, partName, "", "to be bought")
	if best.drive != nil && best.Control != control.Contactor {
		price := best.drive.Price()
		second = Part{ID: "take." + best.drive.ID, Name: best.drive.Called(), Why: "on the shelf", Cost: tidy(price.SI), Costed: price.Known}
	}
	s.Bill = bill(append(parts, second))
	return s
}
