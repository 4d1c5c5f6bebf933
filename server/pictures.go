package server

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/picture"
	"jiriki/store"
)

type pictureOutput struct {
	ContentType  string `header:"Content-Type"`
	CacheControl string `header:"Cache-Control"`
	Body         []byte
}

func (a *api) pictures(h huma.API) {
	huma.Register(h, takingFile(picture.MaxBytes, inLane(long, huma.Operation{
		OperationID: "add-picture", Method: http.MethodPost, Path: "/api/shelf/{id}/pictures",
		Summary:       "Add a JPEG, PNG or WebP picture of up to 10 MB to a part",
		DefaultStatus: http.StatusCreated,
	})), a.addPicture)
	describeBody(h, "/api/shelf/{id}/pictures", "application/octet-stream")
	huma.Register(h, huma.Operation{OperationID: "get-picture", Method: http.MethodGet, Path: "/api/pictures/{id}",
		Summary: "A picture as JPEG"},
		a.getPicture)
	huma.Register(h, huma.Operation{OperationID: "delete-picture", Method: http.MethodDelete,
		Path: "/api/pictures/{id}", Summary: "Take a picture away; it can be restored",
		DefaultStatus: http.StatusNoContent},
		a.deletePicture)
	huma.Register(h, huma.Operation{OperationID: "restore-picture", Method: http.MethodPost,
		Path: "/api/pictures/{id}/restore", Summary: "Bring it back", DefaultStatus: http.StatusNoContent},
		a.restorePicture)
}

func (a *api) addPicture(ctx context.Context, in *struct {
	IDPath
	fileInput
}) (*added, error) {
	// Whether there is room for it is asked before it is read.
	if err := a.store.RoomForPicture(ctx, in.ID); err != nil {
		return nil, a.pictureProblem(ctx, err)
	}
	data, err := in.read()
	if err != nil {
		return nil, a.pictureProblem(ctx, err)
	}
	full, thumbnail, err := picture.Fit(data)
	if err != nil {
		return nil, a.pictureProblem(ctx, err)
	}
	out := &added{}
	out.Body.ID, err = a.store.AddPicture(ctx, in.ID, full, thumbnail)
	return out, a.pictureProblem(ctx, err)
}

func (a *api) pictureProblem(ctx context.Context, err error) error {
	switch {
	case errors.Is(err, picture.ErrKind), errors.Is(err, picture.ErrSize), errors.Is(err, picture.ErrWide):
		return huma.Error422UnprocessableEntity("The picture was not taken: " + err.Error() + ".")
	case errors.Is(err, store.ErrFull):
		return huma.Error409Conflict("A part keeps twelve pictures. Take one away first.")
	}
	return a.fail(ctx, err)
}

// A picture never changes under its ID, so a browser may keep it.
func (a *api) getPicture(ctx context.Context, in *struct {
	IDPath
	Thumbnail bool `query:"thumbnail"`
}) (*pictureOutput, error) {
	jpeg, err := a.store.Picture(ctx, in.ID, in.Thumbnail)
	return &pictureOutput{"image/jpeg", "private, max-age=31536000, immutable", jpeg}, a.fail(ctx, err)
}

func (a *api) deletePicture(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.DeletePicture(ctx, in.ID))
}

func (a *api) restorePicture(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.RestorePicture(ctx, in.ID))
}
