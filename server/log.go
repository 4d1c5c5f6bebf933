package server

import (
	"context"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"net/http"
	"strings"
	"time"
	"unicode/utf8"

	"github.com/danielgtaylor/huma/v2"
	"github.com/google/uuid"

	"jiriki/core/assess"
	"jiriki/core/build"
	"jiriki/core/dryrun"
	"jiriki/core/judge"
	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/quantity"
	"jiriki/picture"
	"jiriki/store"
)

// LogEntry is an entry with its version.
type LogEntry struct {
	logbook.Entry
	Version int `json:"version"`
}

// Log is a machine's log, or the part of it that was asked for.
type Log struct {
	Entries []LogEntry      `json:"entries" nullable:"false" doc:"Those that happened last first"`
	More    bool            `json:"more" doc:"There are older ones"`
	Hours   float64         `json:"hours" doc:"It ran in all"`
	Due     []logbook.Due   `json:"due" nullable:"false" doc:"Of the upkeep, the most pressing first"`
	Sorts   []logbook.Named `json:"sorts" nullable:"false" doc:"There are"`
}

// LastEntry is an entry as the shed lists it.
type LastEntry struct {
	MachineName string    `json:"machineName"`
	Happened    time.Time `json:"happened"`
	Title       string    `json:"title"`
}

// How many entries are given at once, and how many the shed lists.
const (
	logPage  = 200
	lastMost = 6
)

func (a *api) logs(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-log", Method: http.MethodGet, Path: "/api/machines/{id}/log",
		Summary: "What happened to a machine, hours run and what is due"},
		a.getLog)
	huma.Register(h, huma.Operation{OperationID: "get-log-csv", Method: http.MethodGet,
		Path:    "/api/machines/{id}/log.csv",
		Summary: "The same as CSV, all of it"},
		a.getLogCSV)
	huma.Register(h, huma.Operation{OperationID: "add-entry", Method: http.MethodPost, Path: "/api/machines/{id}/log",
		Summary:       "Write an entry; one that was sent before is kept once",
		DefaultStatus: http.StatusNoContent},
		a.addEntry)
	huma.Register(h, huma.Operation{OperationID: "save-entry", Method: http.MethodPut, Path: "/api/log/{id}",
		Summary: "Put an entry right; 409 with the current one when it was changed elsewhere"},
		a.saveEntry)
	huma.Register(h, huma.Operation{OperationID: "delete-entry", Method: http.MethodDelete, Path: "/api/log/{id}",
		Summary: "Strike an entry out; it can be restored", DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, in *IDPath) (*struct{}, error) {
			return nil, a.fail(ctx, a.store.DeleteEntry(ctx, in.ID))
		})
	huma.Register(h, huma.Operation{OperationID: "restore-entry", Method: http.MethodPost,
		Path:    "/api/log/{id}/restore",
		Summary: "Bring it back", DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, in *IDPath) (*struct{}, error) {
			return nil, a.fail(ctx, a.store.RestoreEntry(ctx, in.ID))
		})
	huma.Register(h, takingFile(picture.MaxBytes, inLane(long, huma.Operation{OperationID: "add-log-picture",
		Method: http.MethodPost,
		Path:   "/api/log/{id}/pictures",
		Summary: "Add a JPEG, PNG or WebP picture of up to 10 MB to an entry; one that was sent before is " +
			"kept once",
		DefaultStatus: http.StatusNoContent})),
		a.addLogPicture)
	describeBody(h, "/api/log/{id}/pictures", "application/octet-stream")
	huma.Register(h, huma.Operation{OperationID: "get-log-picture", Method: http.MethodGet,
		Path:    "/api/log-pictures/{id}",
		Summary: "A picture of the log as JPEG"},
		a.getLogPicture)
	huma.Register(h, huma.Operation{OperationID: "get-last-entries", Method: http.MethodGet, Path: "/api/log",
		Summary: "What happened last in the workshop"},
		a.getLastEntries)
}

func (a *api) getLog(ctx context.Context, in *struct {
	IDPath
	Plan   string         `query:"plan" maxLength:"36" doc:"Of whose line the upkeep is; none when empty"`
	Search string         `query:"search" maxLength:"100"`
	Sorts  []logbook.Sort `query:"sorts" maxItems:"12"`
	Offset int            `query:"offset" minimum:"0" maximum:"10000000"`
}) (*struct{ Body Log }, error) {
	filter := store.LogFilter{Search: in.Search, Most: logPage + 1, Offset: in.Offset}
	for _, s := range in.Sorts {
		filter.Sorts = append(filter.Sorts, string(s))
	}
	if err := a.store.HasMachine(ctx, in.ID); err != nil {
		return nil, a.fail(ctx, err)
	}
	list, err := a.store.Log(ctx, in.ID, filter)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out := Log{Entries: []LogEntry{}, Due: []logbook.Due{}, Sorts: logbook.Sorts(), More: len(list) > logPage}
	for _, e := range list[:min(len(list), logPage)] {
		out.Entries = append(out.Entries, LogEntry(e))
	}
	used, err := a.store.LogOfUse(ctx, in.ID)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out.Hours = quantity.Rounded(logbook.RunHours(used) / 3600)
	if in.Plan != "" {
		sheet, err := a.store.Sheet(ctx, in.Plan)
		if err != nil {
			return nil, a.fail(ctx, err)
		}
		if s, err := plan.Resolve(planOf(sheet, quantity.Metric)); err == nil {
			out.Due = logbook.DueOf(&s, used, time.Now())
		}
	}
	return &struct{ Body Log }{out}, nil
}

func planOf(s store.Sheet, units quantity.System) plan.Input {
	return plan.Input{Units: units, Machine: s.Machine.Described, Plan: s.Plan.Described}
}

// getLogCSV writes the log as it is read: it may be long.
func (a *api) getLogCSV(ctx context.Context, in *IDPath) (*huma.StreamResponse, error) {
	if err := a.store.HasMachine(ctx, in.ID); err != nil {
		return nil, a.fail(ctx, err)
	}
	names := map[logbook.Sort]string{}
	for _, s := range logbook.Sorts() {
		names[s.Sort] = s.Name
	}
	write := func(ctx context.Context, from *store.Store, out io.Writer) error {
		w := csv.NewWriter(out)
		if err := w.Write([]string{"happened", "what", "plan", "title", "detail", "hours", "item", "before",
			"written by itself"}); err != nil {
			return err
		}
		err := from.EachEntry(ctx, in.ID, func(e logbook.Entry) error {
			itself := "no"
			if e.Itself {
				itself = "yes"
			}
			return w.Write([]string{e.Happened.Format(time.RFC3339), names[e.Sort], e.Plan, safeCell(e.Title),
				safeCell(e.Detail), safeCell(string(e.Hours)), safeCell(e.Item), safeCell(e.Before), itself})
		})
		w.Flush()
		return errors.Join(err, w.Error())
	}
	return a.download("jiriki-log.csv", "text/csv; charset=utf-8", write), nil
}

// safeCell keeps a spreadsheet from taking what a person wrote for a formula.
func safeCell(s string) string {
	first, _ := utf8.DecodeRuneInString(s)
	if s != "" && strings.ContainsRune("=+-@\t\r\n＝＋－＠", first) {
		return "'" + s
	}
	return s
}

func (a *api) addEntry(ctx context.Context, in *struct {
	IDPath
	Body logbook.Entry
}) (*struct{}, error) {
	e := in.Body
	if e.ID == "" {
		e.ID = uuid.NewString() // whoever has no way of making one sends it once
	}
	if !isUUID(e.ID) {
		return nil, fieldProblem(quantity.FieldErrors{{Field: "id", Given: e.ID, Message: "an entry has a UUID"}})
	}
	r := quantity.NewReader("")
	e.Check(r)
	if err := r.Err(); err != nil {
		return nil, a.fail(ctx, err)
	}
	e.Itself = false
	return nil, a.logFail(ctx, a.store.AddEntry(ctx, in.ID, e))
}

func (a *api) logFail(ctx context.Context, err error) error {
	if errors.Is(err, store.ErrFull) {
		return huma.Error409Conflict(fmt.Sprintf("A log holds %d entries. Strike some out first.", logbook.MostEntries))
	}
	return a.fail(ctx, err)
}

// isUUID reports whether a text is a UUID as it is written with dashes.
func isUUID(s string) bool { return len(s) == 36 && uuid.Validate(s) == nil }

func (a *api) saveEntry(ctx context.Context, in *struct {
	IDPath
	Body LogEntry
}) (*struct{ Body LogEntry }, error) {
	r := quantity.NewReader("")
	in.Body.Check(r)
	if err := r.Err(); err != nil {
		return nil, a.fail(ctx, err)
	}
	now, err := a.store.SaveEntry(ctx, in.ID, in.Body.Version, in.Body.Entry)
	if errors.Is(err, store.ErrStale) {
		return nil, stale("entry", LogEntry(now))
	}
	return &struct{ Body LogEntry }{LogEntry(now)}, a.fail(ctx, err)
}

func (a *api) addLogPicture(ctx context.Context, in *struct {
	IDPath
	Picture string `query:"picture" required:"true" minLength:"36" maxLength:"36" doc:"A UUID, made where it was taken"`
	fileInput
}) (*struct{}, error) {
	if !isUUID(in.Picture) {
		return nil, huma.Error422UnprocessableEntity("A picture has a UUID.")
	}
	data, err := in.read()
	if err != nil {
		return nil, a.pictureProblem(ctx, err)
	}
	full, thumbnail, err := picture.Fit(data)
	if err != nil {
		return nil, a.pictureProblem(ctx, err)
	}
	err = a.store.AddLogPicture(ctx, in.ID, in.Picture, full, thumbnail)
	if errors.Is(err, store.ErrFull) {
		return nil, huma.Error409Conflict("An entry keeps twelve pictures. Write another.")
	}
	return nil, a.fail(ctx, err)
}

func (a *api) getLogPicture(ctx context.Context, in *struct {
	IDPath
	Thumbnail bool `query:"thumbnail"`
}) (*pictureOutput, error) {
	jpeg, err := a.store.LogPicture(ctx, in.ID, in.Thumbnail)
	return &pictureOutput{"image/jpeg", "private, max-age=31536000, immutable", jpeg}, a.fail(ctx, err)
}

func (a *api) getLastEntries(ctx context.Context, _ *struct{}) (*struct {
	Body []LastEntry `nullable:"false"`
}, error) {
	list, machines, err := a.store.LastEntries(ctx, lastMost)
	out := &struct {
		Body []LastEntry `nullable:"false"`
	}{[]LastEntry{}}
	for i, e := range list {
		out.Body = append(out.Body, LastEntry{machines[i], e.Happened, e.Title})
	}
	return out, a.fail(ctx, err)
}

// follows are the entries that a save brings with it: ticks, trials, what part of the plan changed, and a verdict that
// is
// another.
func follows(before, now store.Sheet) []logbook.Change {
	was, is := planOf(before, quantity.Metric), planOf(now, quantity.Metric)
	var names logbook.Names
	if len(was.Plan.Checks) != len(is.Plan.Checks) || fmt.Sprint(was.Plan.Checks) != fmt.Sprint(is.Plan.Checks) {
		names = checkNames(is)
	}
	out := logbook.Changes(logbook.Saved{Machine: was.Machine, Plan: was.Plan}, logbook.Saved{Machine: is.Machine,
		Plan: is.Plan}, names)
	for _, c := range out {
		if c.Key != "plan" {
			continue
		}
		if v, changed := logbook.VerdictChange(judgedIn(was), judgedIn(is)); changed {
			return append(out, v)
		}
	}
	return out
}

// judgedIn is what a plan's two answers say; nothing where it cannot be judged.
func judgedIn(in plan.Input) logbook.Judged {
	in.Plan.Trials, in.Plan.Checks = nil, nil
	a, err := dryrun.Assess(in)
	if err != nil {
		return logbook.Judged{}
	}
	return logbook.Judged{Power: a.Power.Text, Does: a.Does.Text}
}

// checkNames are what settings, steps and parts of a plan are called.
func checkNames(in plan.Input) logbook.Names {
	out := logbook.Names{}
	if a, err := assess.Assess(in); err == nil {
		for _, s := range a.Settings {
			out[string(s.Working)] = logbook.Ticked{Name: strings.TrimSpace(s.Name + " " + s.Value)}
		}
	}
	if b, err := build.Plan(in); err == nil {
		for _, s := range b.PowerUp {
			out[s.ID] = logbook.Ticked{Name: s.What}
			if s.Outcome == judge.Fails {
				out[s.ID] = logbook.Ticked{Name: s.What, Failed: s.Says}
			}
		}
		for _, bill := range []build.Bill{b.Take, b.Buy} {
			for _, l := range bill.Parts {
				out[l.ID] = logbook.Ticked{Name: l.Name}
			}
		}
		for _, m := range b.Make {
			out[m.ID] = logbook.Ticked{Name: m.What}
		}
	}
	return out
}
