package server

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"os"
	"reflect"
	"strings"
	"unicode/utf8"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humaecho"

	"jiriki/core/logbook"
	"jiriki/core/openfile"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/store"
)

type fileOutput struct {
	Disposition string `header:"Content-Disposition"`
	ContentType string `header:"Content-Type"`
	Body        []byte
}

// Imported is how much of a file was added.
type Imported struct {
	Machines int `json:"machines" doc:"How many machines were added"`
	Plans    int `json:"plans"`
	Parts    int `json:"parts" doc:"Of the shelf"`
}

func (a *api) files(h huma.API) {
	huma.Register(h, inLane(long, huma.Operation{OperationID: "export-workshop", Method: http.MethodGet,
		Path: "/api/export", Summary: "The whole workshop as an open file"}),
		a.exportWorkshop)
	huma.Register(h, inLane(long, huma.Operation{OperationID: "export-with-pictures", Method: http.MethodGet,
		Path: "/api/export.zip", Summary: "The whole workshop as a zip: the open file, and the pictures beside it"}),
		a.exportZip)
	huma.Register(h, huma.Operation{OperationID: "export-plan", Method: http.MethodGet, Path: "/api/plans/{id}/export",
		Summary: "One plan with its machine as an open file"},
		a.exportPlan)
	huma.Register(h, huma.Operation{OperationID: "open-file-schema", Method: http.MethodGet,
		Path: "/api/open-file.schema.json", Summary: "JSON Schema of the open file"},
		a.schema)
	huma.Register(h, takingFile(openfile.MaxBytes, inLane(long, huma.Operation{
		OperationID: "import", Method: http.MethodPost, Path: "/api/import",
		Summary: "Add an open file to the workshop, all of it or nothing",
	})), a.importFile)
	describeBody(h, "/api/import", "application/json")
}

// exportWorkshop writes the file as it is read from the database: it may be long.
func (a *api) exportWorkshop(context.Context, *struct{}) (*huma.StreamResponse, error) {
	return a.download("jiriki-workshop.json", "application/json", Export), nil
}

// Export writes a workshop as an open file.
func Export(ctx context.Context, from *store.Store, out io.Writer) error {
	w := openfile.NewWriter(out)
	if err := from.Export(ctx, w); err != nil {
		return err
	}
	return w.Close()
}

// download streams a file as it is written.
func (a *api) download(name, contentType string,
	write func(context.Context, *store.Store, io.Writer) error) *huma.StreamResponse {
	return &huma.StreamResponse{Body: func(ctx huma.Context) {
		out := &fileWriter{ctx: ctx, name: name, contentType: contentType}
		err := write(ctx.Context(), a.store, out)
		switch {
		case err == nil:
		case out.begun:
			// The status is out already: a file that ends early must not look whole.
			a.log.WarnContext(ctx.Context(), "export broke off", "err", err)
			panic(http.ErrAbortHandler)
		default:
			var known huma.StatusError
			if errors.As(a.fail(ctx.Context(), err), &known) {
				a.refuse(a.huma, ctx, known.GetStatus(), known.Error())
			}
		}
	}}
}

// fileWriter writes a download, its headers before its first byte.
type fileWriter struct {
	ctx               huma.Context
	name, contentType string
	begun             bool
}

func (w *fileWriter) Write(p []byte) (int, error) {
	if !w.begun {
		w.begun = true
		w.ctx.SetHeader("Content-Type", w.contentType)
		w.ctx.SetHeader("Content-Disposition", fmt.Sprintf("attachment; filename=%q", w.name))
		w.ctx.SetStatus(http.StatusOK)
	}
	return w.ctx.BodyWriter().Write(p)
}

func (a *api) exportPlan(ctx context.Context, in *IDPath) (*fileOutput, error) {
	s, err := a.store.Sheet(ctx, in.ID)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	b, err := openfile.Encode(openfile.File{Machines: []openfile.Machine{{Machine: s.Machine.Described,
		Plans: []openfile.Plan{{Plan: s.Plan.Described}}}}})
	return &fileOutput{fmt.Sprintf("attachment; filename=%q", "jiriki-plan-"+strings.ToLower(s.Plan.Letter)+".json"),
			"application/json", b},
		err
}

// fileInput is a file that was sent, put by already.
type fileInput struct {
	file *os.File
}

// Resolve takes hold of the file that stands in place of the request's body.
func (f *fileInput) Resolve(ctx huma.Context) []error {
	f.file, _ = humaecho.Unwrap(ctx).Request().Body.(*os.File)
	return nil
}

// read reads the file into memory.
func (f *fileInput) read() ([]byte, error) {
	about, err := f.file.Stat()
	if err != nil {
		return nil, err
	}
	// Of the length it has, so that it is held once.
	into := bytes.NewBuffer(make([]byte, 0, about.Size()+bytes.MinRead))
	_, err = io.Copy(into, f.file)
	return into.Bytes(), err
}

// describeBody says that an operation takes a file. It is said after it was registered: one that is
// registered with a body is given all of it in memory.
func describeBody(h huma.API, path, contentType string) {
	at := h.OpenAPI().Paths[path]
	described := *at.Post
	described.RequestBody = &huma.RequestBody{Required: true,
		Content: map[string]*huma.MediaType{contentType: {Schema: &huma.Schema{Type: huma.TypeString,
			Format: "binary"}}}}
	at.Post = &described
}

func (a *api) importFile(ctx context.Context, in *fileInput) (*struct{ Body Imported }, error) {
	added, err := Import(ctx, a.store, in.file)
	return &struct{ Body Imported }{added}, a.fail(ctx, err)
}

// File is a file to be imported: a zip is read from its end.
type File interface {
	io.ReadSeeker
	io.ReaderAt
}

// Import adds a file to a store as it is read, all of it or nothing, and says how much it was: an open file, or a zip
// of one with its pictures. Every machine and part is held against the schema. The error is an openfile.ReadError
// where the file is at fault.
func Import(ctx context.Context, to *store.Store, file File) (Imported, error) {
	begun := make([]byte, len(zipBegins))
	if n, err := file.ReadAt(begun, 0); n == len(begun) && string(begun) == zipBegins {
		return importZip(ctx, to, file)
	} else if err != nil && !errors.Is(err, io.EOF) {
		return Imported{}, err
	}
	var added Imported
	err := to.Import(ctx, func(sink openfile.Sink) error { return readInto(sink, file, &added) })
	return added, err
}

func readInto(sink openfile.Sink, file io.Reader, added *Imported) error {
	registry, _ := fileSchema()
	*added = Imported{}
	return openfile.Read(file, &checking{to: sink, registry: registry, added: added})
}

// checking is a sink that holds what passes against the schema, so that a word where none belongs is
// named by its place, and counts it.
type checking struct {
	to       openfile.Sink
	registry huma.Registry
	added    *Imported
	// of the last machine
	plans, entries int
}

func (c *checking) Name(name string) error {
	// As long as the schema allows.
	if utf8.RuneCountInString(name) > 120 {
		return openfile.ReadError{Where: "name", Message: "at most 120 characters"}
	}
	return c.to.Name(name)
}

func (c *checking) Machine(m work.Machine) error {
	c.plans, c.entries = 0, 0
	c.added.Machines++
	if err := c.hold("WorkMachine", c.within("machine"), m); err != nil {
		return err
	}
	return c.to.Machine(m)
}

// within is where something of the last machine stands.
func (c *checking) within(what string) string {
	return fmt.Sprintf("machines[%d].%s", c.added.Machines-1, what)
}

func (c *checking) Plan(p openfile.Plan) error {
	if err := c.hold("OpenfilePlan", c.within(fmt.Sprintf("plans[%d]", c.plans)), p); err != nil {
		return err
	}
	c.plans++
	c.added.Plans++
	return c.to.Plan(p)
}

func (c *checking) Entry(e logbook.Entry) error {
	if err := c.hold("LogbookEntry", c.within(fmt.Sprintf("log[%d]", c.entries)), e); err != nil {
		return err
	}
	c.entries++
	return c.to.Entry(e)
}

func (c *checking) Part(item shelf.Item) error {
	if err := c.hold("ShelfItem", fmt.Sprintf("shelf[%d]", c.added.Parts), item); err != nil {
		return err
	}
	c.added.Parts++
	return c.to.Part(item)
}

// hold looks at a value as it was read, so that what an older file calls otherwise is no fault.
func (c *checking) hold(schema, where string, v any) error {
	text, err := json.Marshal(v)
	if err != nil {
		return err
	}
	var loose any
	if err := json.Unmarshal(text, &loose); err != nil {
		return err
	}
	path := huma.NewPathBuffer(nil, 0)
	path.Push(where)
	result := huma.ValidateResult{}
	huma.Validate(c.registry, c.registry.Map()[schema], path, huma.ModeWriteToServer, loose, &result)
	if len(result.Errors) == 0 {
		return nil
	}
	var detail *huma.ErrorDetail
	if errors.As(result.Errors[0], &detail) {
		return openfile.ReadError{Where: detail.Location, Message: detail.Message}
	}
	return openfile.ReadError{Where: where, Message: result.Errors[0].Error()}
}

// fileSchema describes the open file. Only format and version must be there: everything else
// may be unknown.
func fileSchema() (huma.Registry, *huma.Schema) {
	registry := huma.NewMapRegistry("#/$defs/", schemaName)
	ref := registry.Schema(reflect.TypeFor[openfile.File](), true, "OpenfileFile")
	for name, s := range registry.Map() {
		s.Required = nil
		if name == "OpenfileFile" {
			s.Required = []string{"format", "version"}
		}
		s.PrecomputeMessages()
	}
	return registry, ref
}

// Schema returns the JSON Schema of the open file.
func Schema() ([]byte, error) {
	registry, ref := fileSchema()
	return json.MarshalIndent(map[string]any{
		"$schema": "https://json-schema.org/draft/2020-12/schema",
		"title":   fmt.Sprintf("Jiriki open file, version %d", openfile.Version),
		"$ref":    ref.Ref,
		"$defs":   registry.Map(),
	}, "", "  ")
}

func (a *api) schema(context.Context, *struct{}) (*fileOutput, error) {
	b, err := Schema()
	return &fileOutput{"inline", "application/schema+json", b}, err
}
