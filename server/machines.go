package server

import (
	"context"
	"net/http"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/plan"
	"jiriki/core/quantity"
	"jiriki/core/work"
)

// IDPath names a row by its UUID.
type IDPath struct {
	ID string `path:"id" pattern:"^[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}$" patternDescription:"an ID, such as 123e4567-e89b-12d3-a456-426614174000"`
}

// renamed is a new name for a machine or a plan.
type renamed struct {
	IDPath
	Body struct {
		Name string `json:"name" maxLength:"120"`
	}
}

// added is where a new thing went.
type added struct {
	Body struct {
		ID     string `json:"id"`
		PlanID string `json:"planId" doc:"Its first plan, when a machine was added"`
	}
}

func (a *api) machines(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "add-machine", Method: http.MethodPost, Path: "/api/machines",
		Summary: "Add a machine with an empty plan A", DefaultStatus: http.StatusCreated},
		a.addMachine)
	huma.Register(h, huma.Operation{OperationID: "rename-machine", Method: http.MethodPut,
		Path: "/api/machines/{id}/name", Summary: "Rename a machine", DefaultStatus: http.StatusNoContent},
		a.renameMachine)
	huma.Register(h, huma.Operation{OperationID: "copy-machine", Method: http.MethodPost,
		Path: "/api/machines/{id}/copy", Summary: "Copy a machine with its plans", DefaultStatus: http.StatusCreated},
		a.copyMachine)
	huma.Register(h, huma.Operation{OperationID: "delete-machine", Method: http.MethodDelete,
		Path: "/api/machines/{id}", Summary: "Delete a machine; it can be restored",
		DefaultStatus: http.StatusNoContent},
		a.deleteMachine)
	huma.Register(h, huma.Operation{OperationID: "restore-machine", Method: http.MethodPost,
		Path: "/api/machines/{id}/restore", Summary: "Undo a deletion", DefaultStatus: http.StatusNoContent},
		a.restoreMachine)
}

type newMachine struct {
	Body struct {
		Name string `json:"name" minLength:"1" maxLength:"120"`
		Kind string `json:"kind" maxLength:"40" doc:"ID in the catalogue's machines; brings its usual first jobs"`

		Units quantity.System `json:"units,omitempty" enum:"metric,inch" default:"metric" doc:"What those jobs are written in"`
	}
}

// machineName is a name without the spaces round it; one that shows nothing is none.
func machineName(typed string) (string, error) {
	if quantity.Blank(typed) {
		return "", huma.Error422UnprocessableEntity("A machine needs a name.", &huma.ErrorDetail{Location: "name",
			Message: "What machine is it?"})
	}
	return strings.TrimSpace(typed), nil
}

func (a *api) addMachine(ctx context.Context, in *newMachine) (*added, error) {
	name, err := machineName(in.Body.Name)
	if err != nil {
		return nil, err
	}
	kind := in.Body.Kind
	if kind == "" {
		kind = work.KindNamed(name)
	}
	if kind != "" && work.FindKind(kind).ID != kind {
		return nil, huma.Error422UnprocessableEntity("No such kind of machine.",
			&huma.ErrorDetail{Location: "kind", Message: "Choose one of the list, or something else.",
				Value: in.Body.Kind})
	}
	start := work.Start(name, kind, in.Body.Units)
	id, plans, err := a.store.AddMachine(ctx, start, []plan.Plan{plan.Plan{}.Whole()})
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out := &added{}
	out.Body.ID, out.Body.PlanID = id, plans[0]
	return out, nil
}

func (a *api) renameMachine(ctx context.Context, in *renamed) (*struct{}, error) {
	name, err := machineName(in.Body.Name)
	if err != nil {
		return nil, err
	}
	return nil, a.fail(ctx, a.store.RenameMachine(ctx, in.ID, name))
}

func (a *api) copyMachine(ctx context.Context, in *renamed) (*added, error) {
	name, err := machineName(in.Body.Name)
	if err != nil {
		return nil, err
	}
	id, err := a.store.CopyMachine(ctx, in.ID, name)
	out := &added{}
	out.Body.ID = id
	return out, a.fail(ctx, err)
}

func (a *api) deleteMachine(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.DeleteMachine(ctx, in.ID))
}

func (a *api) restoreMachine(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.RestoreMachine(ctx, in.ID))
}
