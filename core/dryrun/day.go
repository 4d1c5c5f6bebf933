package dryrun

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/thermal"
	"jiriki/core/work"
)

// Day is a working day: the jobs' duties repeated by the hour, each with its part of it.
type Day struct {
	Runs     bool           `json:"runs"`
	Headline string         `json:"headline"`
	Hours    []float64      `json:"hours" nullable:"false" doc:"From the start of the day"`
	WindingC []float64      `json:"windingC" nullable:"false"`
	CaseC    []float64      `json:"caseC" nullable:"false"`
	Class    float64        `json:"class" doc:"°C the winding's insulation allows"`
	Most     float64        `json:"most" doc:"°C of the winding at the most"`
	Air      float64        `json:"air" doc:"°C of the shop"`
	Jobs     []DayJob       `json:"jobs" nullable:"false"`
	Findings []f.Finding    `json:"findings" nullable:"false"`
	Entries  []q.FieldError `json:"entries" nullable:"false"`
}

// DayJob is a job's part of a working day.
type DayJob struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Minutes float64 `json:"minutes" doc:"Of each hour that are its own, its rests with them"`
	Duty    string  `json:"duty" doc:"How long at a time, in words"`
	Amps    float64 `json:"amps" doc:"While it works"`
	Heat    float64 `json:"heat" doc:"Share of rated heat while it works"`
	Alone   float64 `json:"alone" doc:"°C the winding comes to where this job is all it does all day"`
	Skipped string  `json:"skipped" doc:"Why it is no part of the day"`
}

// A day's length, and how finely it is worked out.
const (
	dayHours   = 8
	dayStep    = 60.0 // s
	workedFor  = 10.0 // s of a job that takes seconds
	warmMargin = 10.0 // K under its class a winding is warm enough for a word
)

// part is a job as it is done through the day.
type part struct {
	*work.Need
	on, off  float64 // s
	heat     float64 // share of rated heat, its winding as hot as its class allows
	shed     float64
	shedRest float64
}

// DayOf is a plan's working day. The error is quantity.FieldErrors when the input is past what is taken at once.
func DayOf(in plan.Input) (Day, error) {
	out := Day{Hours: []float64{}, WindingC: []float64{}, CaseC: []float64{}, Jobs: []DayJob{}, Findings: []f.Finding{},
		Entries: []q.FieldError{}}
	run, t, err := prepare(&in)
	out.Entries = run.Entries
	if err != nil || t == nil {
		return out, err
	}
	m := newMachine(t, &t.Script)
	parts := m.parts(&out)
	out.Class, out.Air, out.Runs = m.limit, m.ambient, len(parts) > 0
	if !out.Runs {
		return out, nil
	}
	states := m.through(parts)
	out.Most = m.ambient
	for i, s := range states {
		out.Hours = append(out.Hours, q.Rounded(float64(i)*dayStep/3600))
		out.WindingC = append(out.WindingC, q.Rounded(m.celsius(s.Winding)))
		out.CaseC = append(out.CaseC, q.Rounded(m.celsius(s.Case)))
		out.Most = max(out.Most, m.celsius(s.Winding))
	}
	m.judge(&out, parts, in.Units)
	return out, nil
}

// parts are the jobs that are done through the day, each in the position it comes out best in.
func (m *machine) parts(out *Day) []part {
	var parts []part
	for i := range m.Machine.Jobs {
		job := &m.Machine.Jobs[i]
		d := DayJob{ID: job.ID, Name: job.Name, Duty: job.Duty.Says()}
		result := m.Best(job, m.Reduction.Positions)
		switch {
		case result.Outcome == line.CannotTell:
			d.Skipped = "it cannot be judged yet"
		case !result.Outcome.Reached():
			d.Skipped = "its speed is not reached"
		default:
			at := &m.Reduction.Positions[result.Position]
			p := m.partOf(job, at, &result)
			if d.Amps, p.heat = m.workedAt(at, &result); p.heat > 0 {
				d.Heat = p.heat
				d.Alone = q.Rounded(m.celsius(m.settled([]part{p})))
				parts = append(parts, p)
				d.Amps, d.Heat = q.Rounded(d.Amps), q.Rounded(d.Heat)
			}
		}
		out.Jobs = append(out.Jobs, d)
	}
	for i := range out.Jobs {
		if out.Jobs[i].Heat > 0 {
			out.Jobs[i].Minutes = q.Rounded(60 / float64(len(parts)))
		}
	}
	return parts
}

// partOf is how a job is done: how long at a time, and how its motor sheds heat meanwhile.
func (m *machine) partOf(job *work.Need, p *reduction.Position, result *line.Result) part {
	out := part{Need: job, on: math.Inf(1), shedRest: m.cooled}
	switch job.Duty.Kind {
	case "cycle":
		out.on, out.off = job.Duty.On, job.Duty.Off
	case "seconds":
		out.on, out.off = workedFor, math.Inf(1)
	}
	rotor := math.Sqrt(result.Low*result.High) * p.Ratio * m.Motor.Gear.Ratio
	out.shed = m.shed(rotor, true)
	return out
}

// workedAt are the amps of a job in the middle of its reach, and the heat they are, a share of rated heat.
func (m *machine) workedAt(p *reduction.Position, result *line.Result) (amps, heat float64) {
	omega := math.Sqrt(result.Low * result.High)
	torque := min(result.Needed, m.Peak(omega, p).Torque) / (p.Ratio * p.Efficiency)
	amps = m.Powered.DrawsFor(torque, omega*p.Ratio)
	return amps, m.Powered.HeatFor(torque, omega*p.Ratio)
}

// settled is the winding's share of its rated rise at the most, once a day of some parts has settled.
func (m *machine) settled(parts []part) float64 {
	most := 0.0
	for _, s := range m.through(parts) {
		most = max(most, s.Winding)
	}
	return most
}

// through is the motor's warmth minute by minute through a day in which every hour has each of its parts in turn.
func (m *machine) through(parts []part) []thermal.State {
	states := make([]thermal.State, 0, int(dayHours*3600/dayStep)+1)
	now := thermal.State{}
	states = append(states, now)
	slot := 3600 / float64(len(parts))
	for range dayHours {
		left := dayStep
		for i := range parts {
			now, left = m.slot(&parts[i], slot, now, left, &states)
		}
	}
	return states
}

// slot is one part of an hour: pulls and rests until it is over. left is how long to the next state that is kept.
func (m *machine) slot(p *part, seconds float64, now thermal.State, left float64,
	states *[]thermal.State) (thermal.State,
	float64) {
	pulling, turn := true, p.on
	for seconds > 1e-6 {
		step := min(seconds, left, turn)
		heat, shed := 0.0, p.shedRest
		if pulling {
			heat, shed = p.heat*motor.Warmth(m.celsius(now.Winding), m.limit), p.shed
		}
		now = m.bodies.After(now, heat, shed, step)
		seconds, left, turn = seconds-step, left-step, turn-step
		if left < 1e-6 {
			*states = append(*states, now)
			left = dayStep
		}
		if turn < 1e-6 {
			if pulling = !pulling; pulling {
				turn = p.on
			} else {
				turn = p.off
			}
		}
	}
	return now, left
}

// judge says what a day comes to: what passes the class, what to rest, and what cooling would do.
func (m *machine) judge(out *Day, parts []part, sys q.System) {
	celsius := func(v float64) string { return q.Show(v+zeroCelsius, q.Temperature, sys) }
	add := func(id f.ID, level f.Level, field, title, detail string) {
		out.Findings = append(out.Findings, f.Finding{ID: id, Level: level, Station: f.Motor, Field: field,
			Title:  title,
			Detail: detail, Dry: true})
	}
	allows := fmt.Sprintf("class %s allows %s", m.Motor.Insulation, celsius(m.limit))
	worst := ""
	for i := range parts {
		if worst == "" && m.celsius(m.settled([]part{parts[i]})) > m.limit {
			worst = parts[i].Name
		}
	}
	switch {
	case out.Most > m.limit:
		out.Headline = "The day is too much for its winding"
		add(f.DryDay, f.Stop, "motor.plate.insulation", "Its winding comes to "+celsius(out.Most),
			"In a shop at "+celsius(m.ambient)+"; "+allows+".")
	case out.Most > m.limit-warmMargin:
		out.Headline = "It stays just within its class"
		add(f.DryDay, f.Caution, "motor.plate.insulation", "Its winding comes to "+celsius(out.Most),
			"Near what its "+allows+", in a shop at "+celsius(m.ambient)+".")
	case worst != "":
		out.Headline = "Within its class only as the jobs take turns"
		add(f.DryDay, f.Caution, "machine.jobs", "Its winding comes to "+celsius(out.Most),
			"In a shop at "+celsius(m.ambient)+"; "+allows+". Of "+worst+" alone it would not stay within it.")
	default:
		out.Headline = "It stays within its class all day"
		add(f.DryDay, f.Good, "", "Its winding comes to "+celsius(out.Most),
			"In a shop at "+celsius(m.ambient)+"; "+allows+".")
	}
	for i := range parts {
		p := &parts[i]
		if m.celsius(m.settled([]part{*p})) <= m.limit {
			continue
		}
		title := p.Name + " alone is too much"
		if rest, ok := m.restFor(p); ok {
			add(f.DryRest.Of(p.ID), f.Caution, "machine.jobs", title,
				fmt.Sprintf("With %s of rest after each %s it would stay within its "+
					"class.", q.Show(rest, q.Duration, sys),
					q.Show(pullOf(p), q.Duration, sys)))
		} else {
			add(f.DryRest.Of(p.ID), f.Caution, "machine.jobs", title, "No rest of an hour is enough for this motor.")
		}
	}
	if out.Most > m.limit-warmMargin && m.Motor.Cooling == "own-fan" {
		blown := *m
		blown.Motor.Cooling = "blown"
		cooled := make([]part, len(parts))
		for i := range parts {
			cooled[i] = parts[i]
			cooled[i].shed, cooled[i].shedRest = 1, 1
		}
		add(f.DryCool, f.Caution, "motor.plate.cooling", "A fan of its own would help",
			fmt.Sprintf("With air blown over it all day its winding comes to "+
				"%s.", celsius(m.celsius(blown.settled(cooled)))))
	}
}

// pullOf is how long a job pulls at a time; what goes on all day is given a quarter of an hour.
func pullOf(p *part) float64 {
	if math.IsInf(p.on, 1) {
		return 15 * 60
	}
	return p.on
}

// restFor is the shortest rest after each pull, in whole minutes, with which a job alone stays within the class; false
// where an hour is not enough.
func (m *machine) restFor(p *part) (seconds float64, ok bool) {
	rested := *p
	rested.on = pullOf(p)
	for minutes := 1.0; minutes <= 60; minutes++ {
		rested.off = minutes * 60
		if m.celsius(m.settled([]part{rested})) <= m.limit {
			return rested.off, true
		}
	}
	return 0, false
}
