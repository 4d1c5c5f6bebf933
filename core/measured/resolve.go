package measured

import (
	"fmt"
	"slices"
	"strings"

	q "jiriki/core/quantity"
)

// Resolved is a trial in SI. What is not Known was not said.
type Resolved struct {
	Kind     Kind
	Part     string
	Where    Shaft
	Position string

	Volts, Air, Command, Full, Fastest q.Value
	Asked                              q.Value // Hz the drive was told, where it was told so
	Radius, Rope, Angle, Own, Disc     q.Value
	Rated, Tested                      q.Value
	Leads                              q.Value // Ω; taken off the ohms already
	Steps                              Steps
	PerTurn, Gate                      q.Value
	Direct                             bool // direct current was put on it
	Class                              string
	Readings                           []Taken
}

// Taken is a reading in SI.
type Taken struct {
	Entry int // which of the described readings it is

	Mark, Speed, Second, Volts, Amps, Hertz, Ohms, Megohms q.Value
	Force, Slack, Torque, Time, Celsius, Capacitor, Sound  q.Value
	Flash, Images, Drift, Spread                           q.Value
	State                                                  State
	Current                                                string // "ac" or "dc"; empty where nobody said
	Tried, Started                                         int    // of so many starts; 0 of 0 where none were counted
}

// Ranges of what can be measured in a shed.
var (
	speeds  = q.Range{Min: 0, Max: 1e5 * q.RPM}
	celsius = q.Range{Min: 233.15, Max: 623.15}
	voltage = q.Range{Min: 0, Max: 1500}
	current = q.Range{Min: 0, Max: 1000}
	pulls   = q.Range{Min: 0, Max: 1e5}
	lengths = q.Range{Min: 1e-4, Max: 5}
)

// Resolve reads a described trial, refusing on r what cannot be used. Rows in which nothing stands are left out.
func Resolve(t Trial, r *q.Reader) Resolved {
	out := Resolved{
		Kind: t.Kind, Part: strings.TrimSpace(t.Part), Position: t.Position,
		Where:   Shaft(r.Choice("where", string(t.Where), string(Spindle), string(Spindle), string(AtMotor))),
		Volts:   r.Read("volts", t.Volts, q.Voltage, voltage),
		Air:     r.Read("air", t.Air, q.Temperature, celsius),
		Full:    r.Read("full", t.Full, q.Number, q.Range{Min: 0.01, Max: 1e6}),
		Fastest: r.Read("fastest", t.Fastest, q.Speed, q.Range{Min: q.RPM, Max: speeds.Max}),
		Radius:  r.Read("radius", t.Radius, q.Length, lengths),
		Rope:    r.Read("rope", t.Rope, q.Length, q.Range{Min: 0, Max: 0.2}),
		Angle:   r.Read("angle", t.Angle, q.Angle, q.Range{Min: 0.01, Max: 3.13}),
		Own:     r.Read("own", t.Own, q.Force, pulls),
		Disc:    r.Read("disc", t.Disc, q.Inertia, q.Range{Min: 1e-8, Max: 1e4}),
		Rated:   r.Read("rated", t.Rated, q.Voltage, voltage),
		Tested:  r.Read("tested", t.Tested, q.Voltage, q.Range{Min: 0.1, Max: 10000}),
		Leads:   r.Read("leads", t.Leads, q.Resistance, q.Range{Min: 0, Max: 10}),
		PerTurn: r.Read("perTurn", t.PerTurn, q.Number, q.Range{Min: 1, Max: 10000}),
		Gate:    r.Read("gate", t.Gate, q.Duration, q.Range{Min: 0.001, Max: 3600}),
		Direct:  r.Choice("current", t.Current, "ac", "ac", "dc") == "dc",
		Class:   r.Choice("class", t.Class, "", "A", "E", "B", "F", "H"),
		Steps:   steps(&t, r),
	}
	if strings.HasSuffix(strings.ToLower(strings.TrimSpace(string(t.Command))), "hz") {
		out.Asked = r.Read("command", t.Command, q.Frequency, q.Range{Min: 0.1, Max: 1000})
	} else {
		out.Command = r.Read("command", t.Command, q.Number, q.Range{Min: 0, Max: 3})
	}
	if len(t.Readings) > MaxReadings {
		r.Refuse("readings", fmt.Sprint(len(t.Readings)), fmt.Sprintf("at most %d can be kept", MaxReadings))
		return out
	}
	for i, d := range t.Readings {
		if d.blank() {
			continue
		}
		row := r.At("readings", i)
		taken := take(d, i, row)
		if t.Kind == Ohms && out.Leads.Known && taken.Ohms.Known {
			if taken.Ohms.SI -= out.Leads.SI; taken.Ohms.SI <= 0 {
				row.Refuse("ohms", string(d.Ohms), "no more than the meter's leads read by themselves")
				continue
			}
		}
		out.Readings = append(out.Readings, taken)
	}
	return out
}

// Steps is the finest step the instrument shows, SI, and of what.
type Steps struct {
	Known bool
	Of    q.Dimension
	SI    float64
}

// In is the step of readings of a dimension; 0 where it was not told.
func (s Steps) In(d q.Dimension) float64 {
	if s.Known && s.Of == d {
		return s.SI
	}
	return 0
}

// readsIn are the dimensions a kind's figures are read in, that of a bare step first.
var readsIn = map[Kind][]q.Dimension{
	Speed: {q.Speed}, Knob: {q.Speed}, Ratio: {q.Speed}, Strobe: {q.Speed}, Ear: {q.Speed}, RunUpDown: {q.Speed},
	Clutch: {q.Speed}, Slip: {q.Speed, q.Frequency}, Pull: {q.Force},
	Brake: {q.Force, q.Speed, q.Voltage, q.Current}, Capacitors: {q.Speed, q.Capacitance, q.Current, q.Sound},
	WarmUp: {q.Rise}, Open: {q.Voltage, q.Speed}, FreeRun: {q.Voltage, q.Current, q.Speed},
	LockedAt: {q.Voltage, q.Current}, VoltsUp: {q.Voltage}, Sag: {q.Voltage, q.Current}, Ohms: {q.Resistance},
	Insulation: {q.Insulation},
}

// steps reads the instrument's step, in the unit of what the kind reads.
func steps(t *Trial, r *q.Reader) Steps {
	text := q.Text(strings.TrimSpace(string(t.Resolution)))
	dims := readsIn[t.Kind]
	if !text.Known() || len(dims) == 0 {
		return Steps{}
	}
	of := dims[0]
	for _, d := range dims {
		if _, err := q.Parse(text, d); err == nil {
			of = d
			break
		}
	}
	_, si := q.Unit(of, q.Metric)
	v := r.Read("resolution", text, of, q.Range{Min: 1e-6 * si, Max: 1e6 * si})
	return Steps{v.Known, of, v.SI}
}

// blank reports whether nothing stands in a row but where it was begun.
func (d Reading) blank() bool {
	d.ID, d.State, d.At, d.Note, d.Current = "", "", "", "", ""
	return d == Reading{}
}

func take(d Reading, entry int, r *q.Reader) Taken {
	out := Taken{
		Entry:     entry,
		Mark:      r.Read("mark", d.Mark, q.Number, q.Range{Min: -1e6, Max: 1e6}),
		Speed:     r.Read("speed", d.Speed, q.Speed, speeds),
		Second:    r.Read("second", d.Second, q.Speed, speeds),
		Volts:     r.Read("volts", d.Volts, q.Voltage, voltage),
		Amps:      r.Read("amps", d.Amps, q.Current, current),
		Hertz:     r.Read("hertz", d.Hertz, q.Frequency, q.Range{Min: 0.1, Max: 1000}),
		Ohms:      r.Read("ohms", d.Ohms, q.Resistance, q.Range{Min: 0.0001, Max: 1e6}),
		Megohms:   r.Read("megohms", d.Megohms, q.Insulation, q.Range{Min: 0, Max: 1e13}),
		Force:     r.Read("force", d.Force, q.Force, pulls),
		Slack:     r.Read("slack", d.Slack, q.Force, pulls),
		Torque:    r.Read("torque", d.Torque, q.Torque, q.Range{Min: 0, Max: 1e5}),
		Time:      r.Read("time", d.Time, q.Duration, q.Range{Min: 0, Max: 86400}),
		Celsius:   r.Read("celsius", d.Celsius, q.Temperature, celsius),
		Capacitor: r.Read("capacitor", d.Capacitor, q.Capacitance, q.Range{Min: 1e-8, Max: 0.01}),
		Sound:     r.Read("sound", d.Sound, q.Sound, q.Range{Min: 0, Max: 160}),
		Flash:     r.Read("flash", d.Flash, q.Speed, q.Range{Min: q.RPM, Max: speeds.Max}),
		Images:    r.Read("images", d.Images, q.Number, q.Range{Min: 1, Max: 12}),
		Drift:     r.Read("drift", d.Drift, q.Speed, q.Range{Min: -1e4, Max: 1e4}),
		Spread:    r.Read("spread", d.Spread, q.Speed, speeds),
		Current:   r.Choice("current", d.Current, "", "ac", "dc"),
		State: State(r.Choice("state", string(d.State), "", "starts", "keeps", "up", "down", "disc", "locked", "free",
			"loaded", "nothing", "hums", "acts", "turns")),
	}
	if n := out.Images; n.Known && n.SI != float64(int(n.SI)) {
		r.Refuse("images", string(d.Images), "a whole number of images stands there")
		out.Images = q.Value{}
	}
	if d.Starts != "" {
		var ok bool
		if out.Started, out.Tried, ok = q.OutOf(d.Starts); !ok {
			r.Refuse("starts", d.Starts, "write it as 9 of 10")
		}
	}
	return out
}

// With are the readings of a trial for which all the named figures are known, in the order they were taken.
func (t *Resolved) With(known ...func(*Taken) q.Value) []Taken {
	return slices.DeleteFunc(slices.Clone(t.Readings), func(one Taken) bool {
		for _, of := range known {
			if !of(&one).Known {
				return true
			}
		}
		return false
	})
}
