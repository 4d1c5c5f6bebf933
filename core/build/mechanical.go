package build

import (
	"fmt"
	"math"
	"strings"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/words"
)

// wheels are the pulleys, sprockets, gears and belts, from the shelf where they lie there.
func (b *builder) wheels() {
	for i, d := range b.in.Plan.Reduction.Stages {
		if i >= len(b.Reduction.Stages) || b.Reduction.Missing != "" {
			return
		}
		s := b.Reduction.Stages[i]
		switch {
		case s.Kind == reduction.Direct && s.OnDriving.Bore > 0:
			continue // a wheel straight on the shaft
		case s.Kind == reduction.Direct:
			b.need(fmt.Sprintf("coupling.%d", i), "Coupling", "", "flexible: two shafts are never quite in line")
			continue
		case s.Kind == reduction.Given:
			b.need(fmt.Sprintf("ratio.%d", i), "Pulleys, gears or sprockets"+b.OfStage(i), q.Ratio(s.Steps[0].Ratio),
				"put them in as a stage, and belts and shafts are judged")
			continue
		}
		f := &shelf.Family{Stage: d, Blank: s}
		for k := range b.in.Shelf {
			f.Take(&b.in.Shelf[k])
		}
		b.stageWheels(i, d, s, f)
		if !s.Meshed() {
			b.stageBelt(i, s, f)
		}
		if !s.Guarded {
			b.make(fmt.Sprintf("guard.%d", i), "A guard over what turns"+b.OfStage(i), "before it turns under power")
		}
	}
}

func (b *builder) stageWheels(i int, d reduction.DescribedStage, s reduction.Stage, f *shelf.Family) {
	if len(s.Steps) > 1 {
		var driver, driven []string
		for _, step := range d.Steps {
			driver, driven = append(driver, string(step.Driver)), append(driven, string(step.Driven))
		}
		b.need(fmt.Sprintf("cone.%d.driving", i), "Cone pulley"+b.OfStage(i)+", driving", strings.Join(driver, ", "),
			"or turn it")
		b.need(fmt.Sprintf("cone.%d.driven", i), "Cone pulley"+b.OfStage(i)+", driven", strings.Join(driven, ", "),
			"or turn it to fit the belt on every step")
		return
	}
	for _, w := range []struct {
		end  string
		size float64
		text q.Text
	}{{"driving", s.Steps[0].Driver, d.Steps[0].Driver}, {"driven", s.Steps[0].Driven, d.Steps[0].Driven}} {
		if item := b.onShelf(f, w.size); item != nil {
			b.fromShelf(item, b.wheelSize(s, w.end, w.text)+", "+b.wheelName(s, w.end)+b.OfStage(i))
			continue
		}
		b.need(fmt.Sprintf("wheel.%d.%s", i, w.end), words.Capital(b.wheelName(s, w.end))+b.OfStage(i),
			b.wheelSize(s, w.end, w.text), s.Section)
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
	if !s.Kind.Toothed() {
		return string(text)
	}
	n, counted := reduction.Teeth(text), "teeth"
	if s.Kind == reduction.Worm && end == "driving" {
		if counted = "starts"; n == 1 {
			counted = "start"
		}
	}
	if s.Meshed() {
		// A module is in millimetres wherever it is sold.
		return fmt.Sprintf("%g %s, module %s", n, counted, q.Show(s.Pitch, q.Length, q.Metric))
	}
	return fmt.Sprintf("%g %s, %s pitch", n, counted, b.show(s.Pitch, q.Length))
}

// onShelf is an unused wheel of a size on the shelf.
func (b *builder) onShelf(f *shelf.Family, size float64) *shelf.Item {
	for _, w := range f.Wheels {
		if w.Item != nil && !b.used[w.Item] && math.Abs(w.Size/size-1) < 2e-3 {
			return w.Item
		}
	}
	return nil
}

// beltFits is how near a shelf belt's length must be to the one needed.
const beltFits = 0.005

func (b *builder) stageBelt(i int, s reduction.Stage, f *shelf.Family) {
	_, belt := s.SoldAs()
	for _, item := range f.Belts {
		length, err := q.Parse(item.Length, q.Length)
		if err == nil && s.Belt > 0 && !b.used[item] && math.Abs(length/s.Belt-1) < beltFits {
			b.fromShelf(item, b.show(s.Belt, q.Length)+" pitch length, "+belt+b.OfStage(i))
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
	b.need(fmt.Sprintf("belt.%d", i), words.Capital(belt)+b.OfStage(i), rating,
		"from the exact length on these centres")
}

// fits are what to machine so that wheels go on their shafts and the motor on its bracket.
func (b *builder) fits() {
	for i, s := range b.Reduction.Stages {
		for _, w := range []struct {
			end string
			fit reduction.Fit
		}{{"driving", s.OnDriving}, {"driven", s.OnDriven}} {
			for k, m := range w.fit.ToMake(b.in.Units) {
				b.make(fmt.Sprintf("fit.%d.%s.%d", i, w.end, k), m.What+", "+w.end+" wheel"+b.OfStage(i), m.Why)
			}
		}
	}
	have, knownMotor := motor.FindFrame(b.Motor.Frame, b.Supply.Hertz)
	want, knownBracket := motor.FindFrame(b.Machine.Frame, b.Supply.Hertz)
	if knownMotor && have.Faced {
		b.make("face", "If it has no feet: a plate bored for the face of "+b.Motor.Frame,
			"stood on the bracket, square to the shaft")
	} else if knownMotor && knownBracket && have.Name != want.Name {
		b.make("plate", fmt.Sprintf("A plate from frame %s to the bracket's %s", have.Name, want.Name),
			"bolt it on; cut nothing that cannot be put back")
	}
}
