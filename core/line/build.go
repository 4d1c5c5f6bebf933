package line

import (
	"fmt"
	"math"
	"reflect"
	"strings"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/wiring"
)

// Price is what a part not on the shelf costs, as its buyer typed it.
type Price struct {
	Part string `json:"part" maxLength:"80" doc:"ID of the part"`
	Cost q.Text `json:"cost"`
}

// maxPrices bounds a plan's list.
const maxPrices = 200

// Part is one line of the build sheet.
type Part struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	Rating string  `json:"rating" doc:"What it must be good for"`
	Why    string  `json:"why" doc:"Where that comes from"`
	Place  string  `json:"place" doc:"Where it lies, for a part on the shelf"`
	Cost   float64 `json:"cost"`
	Costed bool    `json:"costed" doc:"A cost was typed"`
}

// Bill is a list of parts with what they cost together.
type Bill struct {
	Parts  []Part  `json:"parts" nullable:"false"`
	Cost   float64 `json:"cost" doc:"Of the parts that have one"`
	Priced int     `json:"priced" doc:"How many have one"`
}

// Build is everything it takes to build a plan: parts, wiring, and the order of first power-up.
type Build struct {
	Take     Bill          `json:"take" doc:"From the shelf"`
	Buy      Bill          `json:"buy"`
	Make     []Making      `json:"make" nullable:"false"`
	Wiring   Wiring        `json:"wiring"`
	PowerUp  []PowerUpStep `json:"powerUp" nullable:"false"`
	Homemade *Homemade     `json:"homemade,omitempty" doc:"Only for a drive that can be built at home"`
	Schools  []School      `json:"schools" nullable:"false"`
	MayPower bool          `json:"mayPower"`
	Blocked  string        `json:"blocked" doc:"Why it may not be powered yet; empty when it may"`
}

// Making is a thing to machine or make.
type Making struct {
	ID   string `json:"id"`
	What string `json:"what"`
	Why  string `json:"why"`
}

// Wiring is the plan's wiring and what was looked at in it.
type Wiring struct {
	wiring.Diagram
	Checks []wiring.Verdict `json:"checks" nullable:"false"`
	Known  bool             `json:"known" doc:"Supply, control and motor are known and belong together"`
}

// PlanBuild works out what it takes to build a plan. The error is quantity.FieldErrors when a field
// cannot be used.
func PlanBuild(in Input) (Build, error) {
	a, err := Assess(in)
	if err != nil {
		return Build{}, err
	}
	s, _ := resolve(in)
	b := &builder{train: newTrain(s), in: in, prices: map[string]q.Value{}, used: map[*shelf.Item]bool{}}
	for _, p := range in.Plan.Prices {
		b.prices[p.Part] = shelf.Item{Cost: p.Cost}.Price()
	}
	out := Build{MayPower: a.MayPower, Make: []Making{}, Schools: []School{}, PowerUp: []PowerUpStep{}}
	b.parts()
	out.Take, out.Buy, out.Make = bill(b.take), bill(b.buy), append(out.Make, b.made...)
	out.Wiring = b.wiring()
	out.Blocked = blocked(a, out.Wiring)
	out.MayPower = out.Blocked == ""
	if b.runs {
		out.PowerUp = b.powerUp(in.Units)
		out.Homemade = b.homemade()
		out.Schools = b.schools()
	}
	return out, nil
}

// blocked says why a plan may not be powered: an open stop, something missing, or a fault in its wiring.
func blocked(a Assessment, w Wiring) string {
	if !a.MayPower {
		for _, f := range a.Findings {
			if f.Level.Rank() == 0 && !f.Short {
				return f.Title
			}
		}
		return a.Next.Text
	}
	for _, c := range w.Checks {
		if !c.OK {
			return c.Title + ": " + c.Detail
		}
	}
	return ""
}

func bill(parts []Part) Bill {
	b := Bill{Parts: append([]Part{}, parts...)}
	for _, p := range parts {
		if p.Costed {
			b.Cost += p.Cost
			b.Priced++
		}
	}
	b.Cost = tidy(b.Cost)
	return b
}

// builder gathers a plan's parts.
type builder struct {
	*train
	in     Input
	prices map[string]q.Value
	used   map[*shelf.Item]bool
	take   []Part
	buy    []Part
	made   []Making
}

func (b *builder) show(v float64, d q.Dimension) string { return q.Show(v, d, b.in.Units) }

// fromShelf puts a shelf part on the list to take, with what it is there for.
func (b *builder) fromShelf(item *shelf.Item, rating string) {
	b.used[item] = true
	price := item.Price()
	b.take = append(b.take, Part{ID: "take." + item.ID, Name: item.Called(), Rating: rating, Place: item.Place, Cost: tidy(price.SI), Costed: price.Known})
}

// need puts a part on the list to buy, with its price where one was typed.
func (b *builder) need(id, name, rating, why string) {
	b.buy = append(b.buy, b.part(id, name, rating, why))
}

// ownOrNeed puts a part that came from somewhere on the list to take, any other on that to buy.
func (b *builder) ownOrNeed(id, name, rating, why, origin string) {
	part := b.part(id, name, rating, why)
	if origin == "" {
		b.buy = append(b.buy, part)
		return
	}
	part.Why, part.Rating = origin, ""
	b.take = append(b.take, part)
}

func (b *builder) part(id, name, rating, why string) Part {
	price := b.prices["buy."+id]
	return Part{ID: "buy." + id, Name: name, Rating: rating, Why: why, Cost: tidy(price.SI), Costed: price.Known}
}

func (b *builder) make(id, what, why string) {
	b.made = append(b.made, Making{"make." + id, what, why})
}

func (b *builder) parts() {
	b.motorPart()
	b.controlPart()
	b.wheels()
	b.fits()
	if b.runs {
		b.electrical()
	}
}

func (b *builder) motorPart() {
	for i := range b.in.Shelf {
		if item := &b.in.Shelf[i]; item.Is(shelf.Motor) && reflect.DeepEqual(item.Motor, b.in.Plan.Motor) {
			b.fromShelf(item, "")
			return
		}
	}
	if b.motor.Kind != "" {
		b.ownOrNeed("motor", named(b.in.Plan.Motor.Name, b.motor.Kind.Profile().Name), "", "on no shelf", b.in.Plan.Motor.Origin)
	}
}

func (b *builder) controlPart() {
	plan := b.in.Plan.Control
	for i := range b.in.Shelf {
		item := &b.in.Shelf[i]
		if item.Is(shelf.Control) && item.Control.Kind == plan.Kind && plan.Name != "" && item.Control.Name == plan.Name {
			b.fromShelf(item, "")
			return
		}
	}
	if plan.Kind != "" {
		rating, why := b.controlRating()
		b.ownOrNeed("control", named(plan.Name, controlNames[plan.Kind]), rating, why, plan.Origin)
	}
}

// controlRating is what the control must be good for, and where that comes from.
func (b *builder) controlRating() (rating, why string) {
	amps, volts := b.motor.Amps.Value, b.motor.Volts.Value
	switch {
	case !b.runs:
	case b.control.Kind == control.StepperDriver:
		return fmt.Sprintf("%s a phase, %s", b.show(amps, q.Current), b.show(b.feed.Volts, q.Voltage)), "the motor's plate amps, and volts well above the winding's own"
	case b.control.Limits():
		return fmt.Sprintf("%s or more, %s", b.show(amps, q.Current), b.show(volts, q.Voltage)), "the motor's plate amps and volts"
	case b.control.Kind == control.SeriesResistor:
		return fmt.Sprintf("%s, %s", b.show(b.control.Ohms, q.Resistance), b.show(amps*amps*b.control.Ohms, q.Power)), "I²·R at plate amps, all of it heat"
	case b.control.Kind == control.VariableTransformer:
		return fmt.Sprintf("%s at %s", b.show(amps, q.Current), b.show(b.supply.Volts, q.Voltage)), "the motor's plate amps"
	}
	return "", ""
}

// wheels are the pulleys, sprockets, gears and belts, from the shelf where they lie there.
func (b *builder) wheels() {
	for i, d := range b.in.Plan.Reduction.Stages {
		if i >= len(b.reduction.Stages) || b.reduction.Missing != "" {
			return
		}
		s := b.reduction.Stages[i]
		if s.Kind == reduction.Direct {
			b.need(fmt.Sprintf("coupling.%d", i), "Coupling", "", "flexible: two shafts are never quite in line")
			continue
		}
		f := &family{stage: d, blank: s}
		for k := range b.in.Shelf {
			f.take(&b.in.Shelf[k])
		}
		b.stageWheels(i, d, s, f)
		if !s.Meshed() {
			b.stageBelt(i, s, f)
		}
		if !s.Guarded {
			b.make(fmt.Sprintf("guard.%d", i), "A guard over what turns"+b.nth(i), "before it turns under power")
		}
	}
}

func (b *builder) stageWheels(i int, d reduction.DescribedStage, s reduction.Stage, f *family) {
	if len(s.Steps) > 1 {
		var driver, driven []string
		for _, step := range d.Steps {
			driver, driven = append(driver, string(step.Driver)), append(driven, string(step.Driven))
		}
		b.need(fmt.Sprintf("cone.%d.driving", i), "Cone pulley"+b.nth(i)+", driving", strings.Join(driver, ", "), "or turn it")
		b.need(fmt.Sprintf("cone.%d.driven", i), "Cone pulley"+b.nth(i)+", driven", strings.Join(driven, ", "), "or turn it to fit the belt on every step")
		return
	}
	for _, w := range []struct {
		end  string
		size float64
		text q.Text
	}{{"driving", s.Steps[0].Driver, d.Steps[0].Driver}, {"driven", s.Steps[0].Driven, d.Steps[0].Driven}} {
		if item := b.onShelf(f, w.size); item != nil {
			b.fromShelf(item, b.wheelSize(s, w.end, w.text)+", "+b.wheelName(s, w.end)+b.nth(i))
			continue
		}
		b.need(fmt.Sprintf("wheel.%d.%s", i, w.end), capital(b.wheelName(s, w.end))+b.nth(i), b.wheelSize(s, w.end, w.text), s.Section)
	}
}

// wheelName is a wheel by what it does: "driving pulley", "worm".
func (b *builder) wheelName(s reduction.Stage, end string) string {
	switch {
	case s.Kind == reduction.Worm && end == "driving":
		return "worm"
	case s.Kind == reduction.Worm:
		return "worm wheel"
	case s.Kind == reduction.Chain:
		return end + " sprocket"
	case s.Meshed():
		return end + " gear"
	}
	return end + " pulley"
}

// wheelSize is a wheel's size as it is sold: a diameter, or teeth with their pitch or module.
func (b *builder) wheelSize(s reduction.Stage, end string, text q.Text) string {
	if !s.Kind.Toothed() && !s.Meshed() {
		return string(text)
	}
	n, of := reduction.Teeth(text), "teeth, "+b.show(s.Pitch, q.Length)+" pitch"
	if s.Meshed() {
		of = "teeth, module " + q.Figures(s.Pitch*1000, 3) + q.ThinSpace + "mm"
	}
	if s.Kind == reduction.Worm && end == "driving" {
		of = "start, module " + q.Figures(s.Pitch*1000, 3) + q.ThinSpace + "mm"
		if n > 1 {
			of = "starts" + strings.TrimPrefix(of, "start")
		}
	}
	return fmt.Sprintf("%g %s", n, of)
}

// onShelf is an unused wheel of a size on the shelf.
func (b *builder) onShelf(f *family, size float64) *shelf.Item {
	for _, w := range f.wheels {
		if w.item != nil && !b.used[w.item] && math.Abs(w.size/size-1) < 2e-3 {
			return w.item
		}
	}
	return nil
}

// beltFits is how near a shelf belt's length must be to the one needed.
const beltFits = 0.005

func (b *builder) stageBelt(i int, s reduction.Stage, f *family) {
	_, belt := (&family{stage: reduction.DescribedStage{Kind: s.Kind}, blank: s}).words()
	for _, item := range f.belts {
		length, err := q.Parse(item.Length, q.Length)
		if err == nil && s.Belt > 0 && !b.used[item] && math.Abs(length/s.Belt-1) < beltFits {
			b.fromShelf(item, b.show(s.Belt, q.Length)+" pitch length, "+belt+b.nth(i))
			return
		}
	}
	rating := "length once the shafts are set"
	switch {
	case s.Belt > 0 && s.Kind == reduction.Chain:
		// Chain closes without a half link only at an even number.
		rating = fmt.Sprintf("%g links of %s", 2*math.Ceil(s.Belt/s.Pitch/2-1e-6), b.show(s.Pitch, q.Length))
	case s.Belt > 0:
		rating = b.show(s.Belt, q.Length) + " pitch length"
	}
	b.need(fmt.Sprintf("belt.%d", i), capital(belt)+b.nth(i), rating, "from the exact length on these centres")
}

// fits are what to machine so that wheels go on their shafts and the motor on its bracket.
func (b *builder) fits() {
	for i, s := range b.reduction.Stages {
		for end, fit := range map[string]reduction.Fit{"driving": s.OnDriving, "driven": s.OnDriven} {
			for k, m := range fit.ToMake(b.in.Units) {
				b.make(fmt.Sprintf("fit.%d.%s.%d", i, end, k), m.What+", "+end+" wheel"+b.nth(i), m.Why)
			}
		}
	}
	have, knownMotor := motor.FindFrame(b.motor.Frame, b.supply.Hertz)
	want, knownBracket := motor.FindFrame(b.machine.Frame, b.supply.Hertz)
	if knownMotor && knownBracket && have.Name != want.Name {
		b.make("plate", fmt.Sprintf("A plate from frame %s to the bracket's %s", have.Name, want.Name), "bolt it on; cut nothing that cannot be put back")
	}
}
