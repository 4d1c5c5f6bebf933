package fault

import f "jiriki/core/finding"

// Cause is something a line can have wrong with it.
type Cause struct {
	ID      string    `json:"id"`
	Words   string    `json:"words"`
	Station f.Station `json:"station" enum:"supply,control,motor,reduction,work"`
	Mend    string    `json:"mend" doc:"What puts it right"`
	Replace string    `json:"replace" doc:"What is put in its place where it is not mended; empty where nothing is"`
	Part    string    `json:"part" doc:"The part that is mended or replaced, as the log names it"`

	has      predicate
	common   float64               // how often such a thing happens, against the others [common practice]
	symptoms string                // IDs; those it mostly shows come with a mark
	known    func(v *view) float64 // how much likelier what the plan knows makes it; nil where it knows nothing of it
}

// How likely a cause shows a symptom: one it mostly shows, one it may show, and any other [common practice].
const (
	showsMostly  = 0.6
	showsAtTimes = 0.18
	showsHardly  = 0.002
)

// shows is how likely a cause shows a symptom.
func (c *Cause) shows(symptom string) float64 {
	switch {
	case hasWord(c.symptoms, symptom+"!"):
		return showsMostly
	case hasWord(c.symptoms, symptom):
		return showsAtTimes
	}
	return showsHardly
}

// weight is how often a cause is met on a line, against the others.
func (c *Cause) weight(v *view) float64 {
	if c.known == nil {
		return c.common
	}
	return c.common * c.known(v)
}

// told is a cause in words of what a line has.
func (c *Cause) told(v *view) Cause {
	out := *c
	out.Words, out.Mend, out.Replace, out.Part = v.say(c.Words), v.say(c.Mend), v.say(c.Replace), v.say(c.Part)
	return out
}

func cause(id string, has predicate, common float64, symptoms, words, part, mend string) Cause {
	return Cause{ID: id, Words: words, Mend: mend, Part: part, has: has, common: common, symptoms: symptoms}
}

// or is a cause with what is put in its place.
func (c Cause) or(replace string) Cause { c.Replace = replace; return c }

// where is a cause that what the plan knows makes likelier or less likely.
func (c Cause) where(known func(v *view) float64) Cause { c.known = known; return c }

// causes are all there are. What is common comes from practice, and moves with each look.
var causes = func() (all []Cause) {
	for _, at := range []struct {
		station f.Station
		list    []Cause
	}{
		{f.Supply, supplyCauses}, {f.Control, controlCauses}, {f.Motor, motorCauses}, {f.Reduction, drivenCauses},
		{f.Work, workCauses},
	} {
		for _, c := range at.list {
			c.Station = at.station
			all = append(all, c)
		}
	}
	return all
}()
