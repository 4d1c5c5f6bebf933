package server

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"reflect"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/line"
	"jiriki/core/openfile"
	"jiriki/core/shelf"
)

type fileOutput struct {
	Disposition string `header:"Content-Disposition"`
	ContentType string `header:"Content-Type"`
	Body        []byte
}

type imported struct {
	Body struct {
		Machines int `json:"machines" doc:"How many machines were added"`
		Plans    int `json:"plans"`
		Parts    int `json:"parts" doc:"Of the shelf"`
	}
}

func (a api) files(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "export-workshop", Method: http.MethodGet, Path: "/api/export", Summary: "The whole workshop as an open file"}, a.exportWorkshop)
	huma.Register(h, huma.Operation{OperationID: "export-plan", Method: http.MethodGet, Path: "/api/plans/{id}/export", Summary: "One plan with its machine as an open file"}, a.exportPlan)
	huma.Register(h, huma.Operation{OperationID: "open-file-schema", Method: http.MethodGet, Path: "/api/open-file.schema.json", Summary: "JSON Schema of the open file"}, a.schema)
	huma.Register(h, huma.Operation{
		OperationID: "import", Method: http.MethodPost, Path: "/api/import", Summary: "Add an open file to the workshop, all of it or nothing",
		MaxBodyBytes: openfile.MaxBytes + 1024, SkipValidateBody: true,
	}, a.importFile)
}

func (a api) exportWorkshop(ctx context.Context, _ *struct{}) (*fileOutput, error) {
	f, err := a.store.Export(ctx)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	return download(f, "jiriki-workshop.json")
}

func (a api) exportPlan(ctx context.Context, in *IDPath) (*fileOutput, error) {
	s, err := a.store.Sheet(ctx, in.ID)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	return download(openfile.File{
		Format: openfile.Format, Version: openfile.Version, Shelf: []shelf.Item{},
		Machines: []openfile.Machine{{Machine: s.Machine.Described, Plans: []line.Plan{s.Plan.Described}}},
	}, "jiriki-plan-"+strings.ToLower(s.Plan.Letter)+".json")
}

func download(f openfile.File, name string) (*fileOutput, error) {
	b, err := openfile.Encode(f)
	return &fileOutput{fmt.Sprintf("attachment; filename=%q", name), "application/json", b}, err
}

func (a api) importFile(ctx context.Context, in *struct {
	RawBody []byte `contentType:"application/json"`
}) (*imported, error) {
	f, err := ReadFile(in.RawBody)
	if err == nil {
		err = a.store.Import(ctx, f)
	}
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out := &imported{}
	out.Body.Machines, out.Body.Parts = len(f.Machines), len(f.Shelf)
	for _, m := range f.Machines {
		out.Body.Plans += len(m.Plans)
	}
	return out, nil
}

// ReadFile decodes a file and holds it against the schema, so that a word where none belongs is
// named by its place.
func ReadFile(data []byte) (openfile.File, error) {
	f, err := openfile.Decode(data)
	if err != nil {
		return f, err
	}
	// Held against the schema as read, so that what an older file calls otherwise is no fault.
	whole, err := openfile.Encode(f)
	if err != nil {
		return f, err
	}
	var loose any
	if err := json.Unmarshal(whole, &loose); err != nil {
		return f, openfile.ReadError{Message: err.Error()}
	}
	registry, schema := fileSchema()
	result := huma.ValidateResult{}
	huma.Validate(registry, schema, huma.NewPathBuffer(nil, 0), huma.ModeWriteToServer, loose, &result)
	if len(result.Errors) > 0 {
		var detail *huma.ErrorDetail
		where, message := "", result.Errors[0].Error()
		if d, ok := result.Errors[0].(*huma.ErrorDetail); ok {
			detail = d
			where, message = detail.Location, detail.Message
		}
		return f, openfile.ReadError{Where: where, Message: message}
	}
	return f, nil
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
		"title":   "Jiriki open file, version 1",
		"$ref":    ref.Ref,
		"$defs":   registry.Map(),
	}, "", "  ")
}

func (a api) schema(context.Context, *struct{}) (*fileOutput, error) {
	b, err := Schema()
	return &fileOutput{"inline", "application/schema+json", b}, err
}
