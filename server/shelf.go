package server

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/slate"
	"jiriki/store"
)

// ShelfEntry is a part on the shelf with its version and pictures.
type ShelfEntry struct {
	Item     shelf.Item `json:"item"`
	Version  int        `json:"version"`
	Pictures []string   `json:"pictures" nullable:"false" doc:"IDs, for /api/pictures/{id}"`
}

// ShelfLine is a part as the shelf lists it.
type ShelfLine struct {
	shelf.Label
	Picture string `json:"picture,omitempty" doc:"ID of its first picture"`
}

type shelfOutput struct {
	Body []ShelfLine `nullable:"false"`
}

type entryOutput struct{ Body ShelfEntry }

func (a *api) shelf(h huma.API) {
	huma.Register(h, huma.Operation{OperationID: "get-shelf", Method: http.MethodGet, Path: "/api/shelf",
		Summary: "The parts on the shelf, as a list"},
		a.getShelf)
	huma.Register(h, huma.Operation{OperationID: "get-shelf-item", Method: http.MethodGet, Path: "/api/shelf/{id}",
		Summary: "A part on the shelf"},
		a.getShelfItem)
	huma.Register(h, huma.Operation{OperationID: "add-shelf-item", Method: http.MethodPost, Path: "/api/shelf",
		Summary: "Put a part on the shelf", DefaultStatus: http.StatusCreated},
		a.addShelfItem)
	huma.Register(h, huma.Operation{OperationID: "name-shelf-items", Method: http.MethodPost, Path: "/api/shelf/named",
		Summary:       "Put parts on the shelf by one line: a name, or sizes as in A: 60 80 100",
		DefaultStatus: http.StatusCreated},
		a.nameShelfItems)
	huma.Register(h, huma.Operation{OperationID: "save-shelf-item", Method: http.MethodPut, Path: "/api/shelf/{id}",
		Summary: "Save a part; 409 when it was changed elsewhere"},
		a.saveShelfItem)
	huma.Register(h, huma.Operation{OperationID: "delete-shelf-item", Method: http.MethodDelete,
		Path: "/api/shelf/{id}", Summary: "Take a part off the shelf; it can be restored",
		DefaultStatus: http.StatusNoContent},
		a.deleteShelfItem)
	huma.Register(h, huma.Operation{OperationID: "restore-shelf-item", Method: http.MethodPost,
		Path: "/api/shelf/{id}/restore", Summary: "Put it back", DefaultStatus: http.StatusNoContent},
		a.restoreShelfItem)
	huma.Register(h, huma.Operation{OperationID: "check-shelf-item", Method: http.MethodPost, Path: "/api/shelf/check",
		Summary: "Whether a part's entries can be used, and what its motor comes to"},
		a.checkShelfItem)
}

func (a *api) getShelf(ctx context.Context, in *struct {
	Sort string `query:"sort" enum:"motor,control,pulley,belt,other" doc:"Only parts of one sort"`
}) (*shelfOutput, error) {
	hand, err := a.stock.now(ctx, a.store)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	pictures, err := a.store.FirstPictures(ctx)
	out := &shelfOutput{[]ShelfLine{}}
	for _, label := range labels(hand.items, in.Sort) {
		out.Body = append(out.Body, ShelfLine{label, pictures[label.ID]})
	}
	return out, a.fail(ctx, err)
}

// labels list the parts of one sort, or of all.
func labels(items []shelf.Item, sort string) []shelf.Label {
	out := []shelf.Label{}
	for _, item := range items {
		if sort == "" || item.Is(sort) {
			out = append(out, item.Label())
		}
	}
	return out
}

func (a *api) getShelfItem(ctx context.Context, in *IDPath) (*entryOutput, error) {
	entry, err := a.store.ShelfEntry(ctx, in.ID)
	return &entryOutput{ShelfEntry(entry)}, a.fail(ctx, err)
}

func (a *api) addShelfItem(ctx context.Context, in *struct{ Body shelf.Item }) (*added, error) {
	out := &added{}
	var err error
	out.Body.ID, err = a.store.AddShelfItem(ctx, in.Body)
	return out, a.fail(ctx, err)
}

// named is a line that names parts of a sort.
type named struct {
	Body struct {
		Sort  string          `json:"sort" enum:"motor,control,pulley,belt,other"`
		Text  string          `json:"text" maxLength:"400"`
		Units quantity.System `json:"units" enum:"metric,inch" doc:"What a bare size is in"`
	}
}

type addedParts struct {
	Body struct {
		IDs []string `json:"ids" nullable:"false"`
	}
}

func (a *api) nameShelfItems(ctx context.Context, in *named) (*addedParts, error) {
	items, err := shelf.Named(in.Body.Sort, in.Body.Text, in.Body.Units)
	if err != nil {
		return nil, a.fail(ctx, err)
	}
	for i := range items {
		if items[i].Is(shelf.Motor) {
			// A motor that is called by its plate is entered by it.
			if err := slate.Plate(in.Body.Text).Onto(&items[i].Motor); err != nil {
				return nil, a.fail(ctx, err)
			}
		}
	}
	out := &addedParts{}
	out.Body.IDs, err = a.store.AddShelfItems(ctx, items)
	return out, a.fail(ctx, err)
}

func (a *api) saveShelfItem(ctx context.Context, in *struct {
	IDPath
	Body struct {
		Version int        `json:"version" minimum:"1"`
		Item    shelf.Item `json:"item"`
	}
}) (*entryOutput, error) {
	now, err := a.store.SaveShelfItem(ctx, in.ID, in.Body.Version, in.Body.Item)
	if errors.Is(err, store.ErrStale) {
		return nil, stale("part", ShelfEntry(now))
	}
	return &entryOutput{ShelfEntry(now)}, a.fail(ctx, err)
}

func (a *api) deleteShelfItem(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.DeleteShelfItem(ctx, in.ID))
}

func (a *api) restoreShelfItem(ctx context.Context, in *IDPath) (*struct{}, error) {
	return nil, a.fail(ctx, a.store.RestoreShelfItem(ctx, in.ID))
}

type checkedItem struct{ Body shelf.Known }

func (a *api) checkShelfItem(_ context.Context, in *struct {
	Body struct {
		Units quantity.System `json:"units" enum:"metric,inch"`
		Item  shelf.Item      `json:"item"`
	}
}) (*checkedItem, error) {
	return &checkedItem{in.Body.Item.Known(in.Body.Units)}, nil
}
