package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/motor"
)

func (a api) shelf(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "add-shelf-motor", Method: http.MethodPost, Path: "/api/shelf", Summary: "Put a motor on the shelf", DefaultStatus: http.StatusCreated}, a.addShelfMotor)
	huma.Register(h, huma.Operation{OperationID: "delete-shelf-motor", Method: http.MethodDelete, Path: "/api/shelf/{id}", Summary: "Take a motor off the shelf; it can be restored", DefaultStatus: http.StatusNoContent}, a.deleteShelfMotor)
	huma.Register(h, huma.Operation{OperationID: "restore-shelf-motor", Method: http.MethodPost, Path: "/api/shelf/{id}/restore", Summary: "Put it back", DefaultStatus: http.StatusNoContent}, a.restoreShelfMotor)
}

func (a api) addShelfMotor(ctx context.Context, in *struct{ Body motor.Described }) (*added, error) {
	out := &added{}
	var err error
	out.Body.ID, err = a.store.AddShelfMotor(ctx, in.Body)
	return out, a.fail(ctx, err)
}

func (a api) deleteShelfMotor(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.DeleteShelfMotor(ctx, in.ID))
}

func (a api) restoreShelfMotor(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.RestoreShelfMotor(ctx, in.ID))
}
