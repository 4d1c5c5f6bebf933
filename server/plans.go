package server

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/plan"
	"jiriki/core/work"
	"jiriki/store"
)

// Sheet is a plan with its machine and what stands beside them; not the shelf, which may be long.
type Sheet struct {
	PlanID         string       `json:"planId"`
	PlanVersion    int          `json:"planVersion"`
	Letter         string       `json:"letter"`
	Plan           plan.Plan    `json:"plan"`
	MachineID      string       `json:"machineId"`
	MachineVersion int          `json:"machineVersion"`
	Machine        work.Machine `json:"machine"`
	Workshop       string       `json:"workshop"`
	Siblings       []Sibling    `json:"siblings" nullable:"false" doc:"Every plan of the machine, this one too"`
}

// Sibling is another plan of the same machine.
type Sibling struct {
	ID     string `json:"id"`
	Letter string `json:"letter"`
	Name   string `json:"name"`
}

type sheetOutput struct{ Body Sheet }

// SheetChange is a sheet as it should be saved, with the versions it was changed from.
type SheetChange struct {
	PlanVersion    int          `json:"planVersion" minimum:"1"`
	MachineVersion int          `json:"machineVersion" minimum:"1"`
	Plan           plan.Plan    `json:"plan"`
	Machine        work.Machine `json:"machine"`
}

type saved struct {
	Body struct {
		PlanVersion    int `json:"planVersion"`
		MachineVersion int `json:"machineVersion"`
	}
}

func (a *api) plans(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-plan", Method: http.MethodGet, Path: "/api/plans/{id}",
		Summary: "A plan sheet"},
		a.getPlan)
	huma.Register(h, huma.Operation{OperationID: "save-plan", Method: http.MethodPut, Path: "/api/plans/{id}",
		Summary: "Save a plan sheet; 409 with the current one when it was changed elsewhere"},
		a.savePlan)
	huma.Register(h, huma.Operation{OperationID: "add-plan", Method: http.MethodPost, Path: "/api/machines/{id}/plans",
		Summary: "Add a plan to a machine", DefaultStatus: http.StatusCreated},
		a.addPlan)
	huma.Register(h, huma.Operation{OperationID: "rename-plan", Method: http.MethodPut, Path: "/api/plans/{id}/name",
		Summary: "Rename a plan", DefaultStatus: http.StatusNoContent},
		a.renamePlan)
	huma.Register(h, huma.Operation{OperationID: "copy-plan", Method: http.MethodPost, Path: "/api/plans/{id}/copy",
		Summary: "Copy a plan under the next letter", DefaultStatus: http.StatusCreated},
		a.copyPlan)
	huma.Register(h, huma.Operation{OperationID: "delete-plan", Method: http.MethodDelete, Path: "/api/plans/{id}",
		Summary: "Delete a plan; it can be restored", DefaultStatus: http.StatusNoContent},
		a.deletePlan)
	huma.Register(h, huma.Operation{OperationID: "restore-plan", Method: http.MethodPost,
		Path: "/api/plans/{id}/restore", Summary: "Undo a deletion", DefaultStatus: http.StatusNoContent},
		a.restorePlan)
}

func (a *api) getPlan(ctx context.Context, in *IDPath) (*sheetOutput, error) {
	s, err := a.store.Sheet(ctx, in.ID)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	out, err := a.sheet(ctx, s)
	return &sheetOutput{out}, a.fail(ctx, err)
}

// sheet gathers what stands beside a saved plan and machine.
func (a *api) sheet(ctx context.Context, s store.Sheet) (Sheet, error) {
	out := Sheet{
		PlanID: s.Plan.ID, PlanVersion: s.Plan.Version, Letter: s.Plan.Letter, Plan: s.Plan.Described,
		MachineID: s.Machine.ID, MachineVersion: s.Machine.Version, Machine: s.Machine.Described, Siblings: []Sibling{},
	}
	var err error
	if out.Workshop, err = a.store.WorkshopName(ctx); err != nil {
		return out, err
	}
	plans, err := a.store.PlansOf(ctx, s.Machine.ID)
	for _, p := range plans {
		out.Siblings = append(out.Siblings, Sibling(p))
	}
	return out, err
}

func (a *api) savePlan(ctx context.Context, in *struct {
	IDPath
	Body SheetChange
}) (*saved, error) {
	now, err := a.store.SaveSheet(ctx, in.ID, in.Body.PlanVersion, in.Body.MachineVersion, in.Body.Plan,
		in.Body.Machine, follows)
	if errors.Is(err, store.ErrStale) {
		current, err := a.sheet(ctx, now)
		if err != nil {
			return nil, a.fail(ctx, err)
		}
		return nil, stale("plan", current)
	}
	out := &saved{}
	out.Body.PlanVersion, out.Body.MachineVersion = now.Plan.Version, now.Machine.Version
	return out, a.fail(ctx, err)
}

func (a *api) addPlan(ctx context.Context, in *IDPath) (*added, error) {
	out := &added{}
	var err error
	out.Body.ID, err = a.store.AddPlan(ctx, in.ID, plan.Plan{}.Whole())
	return out, a.fail(ctx, err)
}

func (a *api) copyPlan(ctx context.Context, in *renamed) (*added, error) {
	s, err := a.store.Sheet(ctx, in.ID)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	s.Plan.Described.Name = in.Body.Name
	out := &added{}
	out.Body.ID, err = a.store.AddPlan(ctx, s.Machine.ID, s.Plan.Described)
	return out, a.fail(ctx, err)
}

func (a *api) renamePlan(ctx context.Context, in *renamed) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.RenamePlan(ctx, in.ID, in.Body.Name))
}

func (a *api) deletePlan(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.DeletePlan(ctx, in.ID))
}

func (a *api) restorePlan(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.RestorePlan(ctx, in.ID))
}
