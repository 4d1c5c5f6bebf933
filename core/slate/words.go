package slate

import (
	"regexp"
	"slices"
	"strings"

	"jiriki/core/donor"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// timesForm is a margin as the sheet writes it, by itself.
var timesForm = regexp.MustCompile(`^\s*[×x]\s*(\d{1,3}(?:[.,]\d{1,3})?)\s*$`)

// wordRules answer what is asked without a figure that has a unit.
var wordRules = []rule{
	{
		kind: "margin", gives: "what a margin is", like: "×1.4",
		when: func(f *facts) bool { return timesForm.MatchString(f.text) },
		answer: func(a *asked) {
			times, err := q.Parse(q.Text(timesForm.FindStringSubmatch(a.text)[1]), q.Number)
			if err != nil || times == 0 {
				return
			}
			for i := range a.items {
				a.use(&a.items[i])
			}
			says := "what is to be had over what the job wants, where it is tightest"
			note := "From ×1 on the job is done; how much more is wanted goes by how its load was found."
			if times < 1 {
				note = "Under ×1 the job is not done: short by " + q.Percent(1-times) + "."
			}
			one := a.addText(times, "×"+q.Figures(times, 3), "as a ratio "+q.Ratio(times)+", so many times the torque",
				says, "torque there is ÷ torque it takes", strings.TrimSpace(a.text), source.Mechanics)
			one.Note, one.Understood = note, strings.TrimSpace(a.text)
		},
	},
	{
		kind: "donor", gives: "what motor an old machine usually holds", like: "motor out of a tumble dryer",
		when: func(f *facts) bool { _, ok := donor.Named(f.text); return ok && len(f.items) == 0 },
		answer: func(a *asked) {
			d, _ := donor.Named(a.text)
			kinds := slices.Clone(d.Holds)
			for _, r := range d.In {
				kinds = append(kinds, r.Holds...)
			}
			var names []string
			for _, kind := range kinds {
				if name := kindName(kind); !slices.Contains(names, name) {
					names = append(names, name)
				}
			}
			one := a.addText(float64(len(names)), names[0], "", "most often, in: "+d.Name,
				"what such machines hold", d.Name, source.UsualMotors)
			if len(names) > 1 {
				one.Also = "or, by region and age: " + strings.Join(names[1:min(len(names), 5)], "; ")
			}
			one.Note, one.Understood = d.Expect, d.Name
			one.offers("this motor", Fill{Field: "motor.kind", Text: q.Text(d.Holds[0])})
		},
	},
}

// kindName is a kind of motor in a few words.
func kindName(kind motor.Kind) string { return kind.Profile().Name }
