package slate

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

func TestWhatIsBetweenMotorAndSpindleIsReadFromALine(t *testing.T) {
	type fills map[string]q.Text
	const at = "reduction.stages[0]."
	two := func(kind, driver, driven q.Text) fills {
		return fills{at + "kind": kind, at + "steps[0].driver": driver, at + "steps[0].driven": driven}
	}
	with := func(f fills, field string, text q.Text) fills {
		f[at+field] = text
		return f
	}
	for text, want := range map[string]fills{
		"60 mm driving 240 mm":                       two("v", "60 mm", "240 mm"),
		"65 mm pulley to a 230 mm pulley":            two("v", "65 mm", "230 mm"),
		"70 : 210 on 320 mm":                         with(two("v", "70 mm", "210 mm"), "centre", "320 mm"),
		"2.5 in driving 9 in, 14 in apart":           with(two("v", "2.5 in", "9 in"), "centre", "14 in"),
		"80 mm and 250 mm pulleys on 400 mm centres": with(two("v", "80 mm", "250 mm"), "centre", "400 mm"),
		"75 : 240 mm, belt 1250 mm":                  with(two("v", "75 mm", "240 mm"), "belt", "1250 mm"),
		"14 : 52 teeth, chain":                       two("chain", "14", "52"),
		"sprockets 13 to 40":                         two("chain", "13", "40"),
		"18 : 60 teeth":                              two("spur", "18", "60"),
		"worm 1 : 30":                                two("worm", "1", "30"),
		"5:1":                                        two("ratio", "5", "1"),
		"3.5 to 1":                                   two("ratio", "3.5", "1"),
		"flat belt, 90 : 300 mm":                     two("flat", "90 mm", "300 mm"),
		"poly-V 40 mm to 260 mm":                     two("poly-v", "40 mm", "260 mm"),
		"straight on the shaft":                      {at + "kind": "direct"},
		"coupled":                                    {at + "kind": "direct"},
		"1 : 1":                                      {at + "kind": "direct"},
		"":                                           {},
		"a belt":                                     {},
		"no idea":                                    {},
		"240 mm":                                     {},
	} {
		got := fills{}
		for _, f := range Between(text, q.Metric) {
			got[f.Field] = f.Text
			if f.Field == at+"kind" {
				assert.True(t, slices.ContainsFunc(reduction.Profiles(), func(p reduction.Profile) bool {
					return string(p.Kind) == string(f.Text)
				}), "%s is no kind of stage", f.Text)
			}
		}
		assert.Equal(t, want, got, text)
	}
	assert.Equal(t, q.Text("3 in"), Between("3 to 9", q.Inch)[1].Text, "a bare size is in the person's own unit")
}

func TestAnyTextBetweenIsReadWithoutHarm(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		for _, f := range Between(rapid.String().Draw(t, "text"), q.Metric) {
			assert.NotEmpty(t, f.Text, f.Field)
		}
	})
}
