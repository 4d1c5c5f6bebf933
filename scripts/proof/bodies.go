package main

import (
	"archive/zip"
	"bytes"
	"encoding/binary"
	"encoding/json"
	"errors"
	"fmt"
	"image"
	"image/jpeg"
	"math"
	"slices"
	"strings"
	"sync"
	"time"

	"jiriki/core/openfile"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/demo"
)

// What is promised, in MB.
const (
	heldTo   = 256
	overIdle = 64  // any one request
	crowded  = 200 // the server under a crowd
	clients  = 64

	besideRun = 100 * time.Millisecond
)

type bodiesCmd struct {
	Seconds int `default:"10" help:"How long each crowd asks."`
}

// body is one thing to send.
type body struct {
	name, method, path, contentType string
	data                            []byte
	passes                          bool // it is within every limit
}

// Run sends each body alone, then all that pass from a crowd, and prints statuses and peaks.
func (c *bodiesCmd) Run(p place) error {
	s, err := p.serving(heldTo << 10)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	bodies, err := hostile(s)
	if err != nil {
		return err
	}
	fmt.Printf("server held to %d MB\n\n%-46s %6s %8s %10s\n", heldTo, "one request, to a server newly started",
		"status", "idle", "over idle")
	var failed []string
	for _, b := range bodies {
		idle, status, err := alone(s, b)
		if err != nil {
			return err
		}
		over := s.memory("VmHWM") - idle
		fmt.Printf("%-46s %6d %5.0f MB %7.0f MB\n", b.name, status, idle, over)
		if over > overIdle || status == 0 || status >= 500 || b.passes != (status < 400) {
			failed = append(failed, b.name)
		}
	}
	passing := slices.DeleteFunc(slices.Clone(bodies), func(b body) bool { return !b.passes })
	if err := s.resetPeak(); err != nil {
		return err
	}
	got := crowd(s, passing, clients, time.Duration(c.Seconds)*time.Second)
	peak := s.memory("VmHWM")
	fmt.Printf("\n%d clients sending the worst that passes for %d s: peak %.0f MB (%.0f MB of data), answers %v\n",
		clients, c.Seconds,
		peak, s.memory("VmData"), got.statuses())
	if peak > crowded || got.lost() > 0 {
		failed = append(failed, "the crowd")
	}
	c.besideRuns(s, bodies, &failed)
	if err := c.overload(s, bodies, &failed); err != nil {
		return err
	}
	if len(failed) > 0 {
		return errors.New("not as promised: " + strings.Join(failed, "; "))
	}
	return nil
}

// alone sends one body to a server newly started, which has looked at the shed and holds no memory that
// another left behind.
func alone(s *serving, b body) (idle float64, status int, err error) {
	if err := errors.Join(s.kill(), s.start()); err != nil {
		return 0, 0, err
	}
	s.send("GET", "/api/workshop", "", nil)
	idle = s.memory("VmRSS")
	if err := s.resetPeak(); err != nil {
		return 0, 0, err
	}
	status, _ = s.send(b.method, b.path, b.contentType, b.data)
	return idle, status, nil
}

// overload compares the time of accepted answers at four times what runs and waits with the quiet one.
func (c *bodiesCmd) overload(s *serving, bodies []body, failed *[]string) error {
	asked := bodies[slices.IndexFunc(bodies, func(b body) bool { return b.name == usual })]
	length := time.Duration(c.Seconds) * time.Second
	quiet := crowd(s, []body{asked}, 8, length)
	// Four run for each two processors and 32 wait.
	loaded := crowd(s, []body{asked}, 4*36, length)
	slow, was := loaded.p99(), quiet.p99()
	fmt.Printf("assess: p99 %.1f ms quiet with 8 clients; %.1f ms of those accepted with %d clients, ×%.1f; "+
		"answers %v\n",
		ms(was), ms(slow), 4*36, float64(slow)/float64(was), loaded.statuses())
	if slow > 10*was || loaded.lost() > 0 {
		*failed = append(*failed, "the overload")
	}
	return nil
}

// besideRuns is how long an assessment takes while a crowd asks for the longest dry runs.
func (c *bodiesCmd) besideRuns(s *serving, bodies []body, failed *[]string) {
	length := time.Duration(c.Seconds) * time.Second
	named := func(name string) []body {
		return bodies[slices.IndexFunc(bodies, func(b body) bool { return b.name == name }):][:1]
	}
	var runs, asked *answers
	var both sync.WaitGroup
	both.Go(func() { runs = crowd(s, named(longest), clients, length) })
	both.Go(func() { asked = crowd(s, named(usual), 1, length) })
	both.Wait()
	fmt.Printf("assess beside %d clients of the longest dry run: p95 %.1f ms, answers %v; theirs %v\n", clients,
		ms(asked.share(0.95)), asked.statuses(), runs.statuses())
	if asked.share(0.95) > besideRun || runs.lost()+asked.lost() > 0 || asked.count[503] > 0 {
		*failed = append(*failed, "an assessment beside dry runs")
	}
}

func ms(d time.Duration) float64 { return float64(d.Microseconds()) / 1000 }

// Names of bodies that are asked for by themselves.
const (
	usual   = "assess, a plan as the interface sends it"
	longest = "dry run, a jam every other second"
)

// hostile are the bodies, worst first of those that do not pass.
func hostile(s *serving) ([]body, error) {
	file, err := demo.Workshop()
	if err != nil {
		return nil, err
	}
	many := func(one string, bytes int) string {
		return strings.TrimSuffix(strings.Repeat(one+",", bytes/(len(one)+1)), ",")
	}
	in := plan.Input{Units: "metric", Machine: file.Machines[0].Machine, Plan: file.Machines[0].Plans[1].Plan}
	full := in
	full.Machine.Jobs = nil
	for i := range work.MaxJobs {
		j := in.Machine.Jobs[i%len(in.Machine.Jobs)]
		j.ID = fmt.Sprint(i)
		full.Machine.Jobs = append(full.Machine.Jobs, j)
	}
	for range 40 {
		full.Plan.Motor.Readings = append(full.Plan.Motor.Readings, file.Shelf[0].Motor.Readings...)
	}
	full.Plan.Motor.Readings = full.Plan.Motor.Readings[:min(40, len(full.Plan.Motor.Readings))]
	for i := range 200 {
		full.Shelf = append(full.Shelf, file.Shelf[i%len(file.Shelf)])
	}
	large := openfile.File{Name: "x"}
	for i := range openfile.MaxMachines - 50 {
		m := file.Machines[i%len(file.Machines)]
		m.Plans = slices.Repeat(m.Plans[:1], 3)
		large.Machines = append(large.Machines, m)
	}
	largeText, err := openfile.Encode(large)
	if err != nil {
		return nil, err
	}
	heard, err := s.planOf(file.Machines[0])
	if err != nil {
		return nil, err
	}
	long := (&largeCmd{Machines: 1, Entries: 10_000}).workshop()
	longLog, err := openfile.Encode(long)
	if err != nil {
		return nil, err
	}
	var part struct{ ID string }
	if _, err := s.json("POST", "/api/shelf", shelf.Item{}.Whole(), &part); err != nil {
		return nil, err
	}
	pictures := "/api/shelf/" + part.ID + "/pictures"
	const js, octets = "application/json", "application/octet-stream"
	post := func(name, path string, data []byte, passes bool) body {
		return body{name: name, method: "POST", path: path, contentType: js, data: data, passes: passes}
	}
	photo := func(name string, img image.Image, passes bool) body {
		var b bytes.Buffer
		if err := jpeg.Encode(&b, img, &jpeg.Options{Quality: 60}); err != nil {
			panic(err) // an image in memory
		}
		return body{name: name, method: "POST", path: pictures, contentType: octets, data: b.Bytes(), passes: passes}
	}
	return []body{
		post("import, 8 MB of {} for machines", "/api/import",
			[]byte(`{"format":"jiriki","version":1,"machines":[`+many(`{}`, 8<<20)+`]}`), false),
		post("import, 8 MB of {} for jobs", "/api/import",
			[]byte(`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"x","jobs":[`+many(`{}`,
				8<<20)+`]}}]}`), false),
		post("import, 8 MB of [", "/api/import", []byte(`{"format":"jiriki","version":1,"machines":`+strings.Repeat(`[`,
			8<<20)), false),
		post("import, one text of 60 MB", "/api/import",
			[]byte(`{"format":"jiriki","version":1,"name":"`+strings.Repeat("x", 60<<20)+`"}`), false),
		post("import, 60 MB of empty lines", "/api/import",
			[]byte(`{"format":"jiriki","version":1,`+strings.Repeat("\n", 60<<20)), false),
		post("assess, 1 MB of {} for jobs", "/api/assess",
			[]byte(`{"units":"metric","machine":{"jobs":[`+many(`{}`, 1<<20-100)+`]}}`), false),
		post("assess, 1 MB of {} for the shelf", "/api/assess",
			[]byte(`{"units":"metric","shelf":[`+many(`{}`, 1<<20-100)+`]}`), false),
		post("save, 1 MB of members nobody asked for", "/api/shelf/check",
			[]byte(`{"units":"metric","item":{`+many(`"x":1`, 1<<20-100)+`}}`), false),
		photo("picture, 7740 by 7740 in a few hundred kB", image.NewGray(image.Rect(0, 0, 7740, 7740)), false),
		photo("picture, twelve megapixels", image.NewYCbCr(image.Rect(0, 0, 4000, 3000), image.YCbCrSubsampleRatio420),
			true),
		post(usual, "/api/assess", jsonOf(in), true),
		post("assess, as much as is taken", "/api/assess", jsonOf(full), true),
		post("rank, as much as is taken", "/api/rank", jsonOf(full), true),
		post("build, as much as is taken", "/api/build", jsonOf(full), true),
		post(fmt.Sprintf("import, %d MB that are a workshop", len(largeText)>>20), "/api/import", largeText, true),
		post("import, 10 000 entries of a log", "/api/import", longLog, true),
		{name: "import, a zip of 400 000 names", method: "POST", path: "/api/import", contentType: octets,
			data: manyNames(400_000), passes: false},
		{name: "by ear, 24 MB of sound", method: "POST", path: "/api/plans/" + heard + "/listen",
			contentType: octets, data: sound(24 << 20),
			passes: true},
		post(longest, "/api/dryrun", jsonOf(jammed(file.Machines[1])), true),
		{name: "export of it", method: "GET", path: "/api/export", contentType: "", data: nil, passes: true},
		{name: "the shed with it", method: "GET", path: "/api/workshop", contentType: "", data: nil, passes: true},
	}, nil
}

// jsonOf is a plain value as JSON.
func jsonOf(v any) []byte {
	b, err := json.Marshal(v)
	if err != nil {
		panic(err) // plain structs
	}
	return b
}

// planOf brings a machine in and returns the ID of its first plan.
func (s *serving) planOf(m openfile.Machine) (string, error) {
	text, err := openfile.Encode(openfile.File{Machines: []openfile.Machine{m}})
	if err != nil {
		return "", err
	}
	if err := s.bringIn(text); err != nil {
		return "", err
	}
	var shed struct {
		Machines []struct{ Plans []struct{ ID string } }
	}
	if status, err := s.json("GET", "/api/workshop", nil, &shed); err != nil || status != 200 {
		return "", fmt.Errorf("the shed was not shown: %d %w", status, err)
	}
	return shed.Machines[0].Plans[0].ID, nil
}

// manyNames is a zip of so many empty files.
func manyNames(n int) []byte {
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for i := range n {
		if _, err := z.CreateHeader(&zip.FileHeader{Name: fmt.Sprintf("pictures/%036d.jpg", i)}); err != nil {
			panic(err) // a buffer in memory
		}
	}
	if err := z.Close(); err != nil {
		panic(err)
	}
	return out.Bytes()
}

// sound is a recording so long in bytes, with a tone in it.
func sound(bytes int) []byte {
	const rate = 48_000
	head := binary.LittleEndian.AppendUint32([]byte("RIFF"), uint32(bytes-8))
	head = binary.LittleEndian.AppendUint32(append(head, "WAVEfmt "...), 16)
	for _, v := range []uint16{1, 1} {
		head = binary.LittleEndian.AppendUint16(head, v)
	}
	head = binary.LittleEndian.AppendUint32(head, rate)
	head = binary.LittleEndian.AppendUint32(head, 2*rate)
	head = binary.LittleEndian.AppendUint16(head, 2)
	head = binary.LittleEndian.AppendUint16(head, 16)
	head = binary.LittleEndian.AppendUint32(append(head, "data"...), uint32(bytes-44))
	for i := 0; len(head) < bytes; i++ {
		v := int16(9000 * math.Sin(2*math.Pi*21*float64(i)/rate) * (1 + 0.3*math.Sin(2*math.Pi*100*float64(i)/rate)))
		head = binary.LittleEndian.AppendUint16(head, uint16(v))
	}
	return head
}

// jammed is a plan with as many events as a script takes.
func jammed(m openfile.Machine) plan.Input {
	in := plan.Input{Units: "metric", Machine: m.Machine, Plan: m.Plans[0].Plan}
	in.Plan.Script = script.Described{Events: []script.Event{{At: "0 s", Does: script.On}}}
	for i := range script.MaxEvents - 1 {
		in.Plan.Script.Events = append(in.Plan.Script.Events, script.Event{At: q.Text(fmt.Sprint(5+2*i, " s")),
			Does: script.Jam, Torque: "26 N·m", Lasts: "1 s"})
	}
	return in
}

// answers are what a crowd was given.
type answers struct {
	mu    sync.Mutex
	count map[int]int
	times []time.Duration // of those accepted
}

// crowd lets so many clients send the bodies in turn, each anew once it is answered.
func crowd(s *serving, bodies []body, clients int, length time.Duration) *answers {
	out := &answers{count: map[int]int{}}
	over := time.Now().Add(length)
	var wg sync.WaitGroup
	for i := range clients {
		wg.Go(func() {
			for n := i; time.Now().Before(over); n++ {
				b := bodies[n%len(bodies)]
				began := time.Now()
				status, _ := s.send(b.method, b.path, b.contentType, b.data)
				out.add(status, time.Since(began))
				if status == 503 {
					// As it was told to, or sooner.
					time.Sleep(100 * time.Millisecond)
				}
			}
		})
	}
	wg.Wait()
	return out
}

func (a *answers) add(status int, took time.Duration) {
	a.mu.Lock()
	defer a.mu.Unlock()
	a.count[status]++
	if status/100 == 2 {
		a.times = append(a.times, took)
	}
}

func (a *answers) statuses() map[int]int { return a.count }

// lost are the requests without an answer, or with one that is the server's fault.
func (a *answers) lost() int { return a.count[0] + a.count[500] }

func (a *answers) p99() time.Duration { return a.share(0.99) }

// share is the time within which such a share of those accepted was answered.
func (a *answers) share(of float64) time.Duration {
	if len(a.times) == 0 {
		return 0
	}
	slices.Sort(a.times)
	return a.times[int(float64(len(a.times))*of)]
}
