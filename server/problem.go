package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/http"

	"github.com/danielgtaylor/huma/v2"
	"github.com/labstack/echo/v5"

	"jiriki/core/bounds"
	"jiriki/core/openfile"
	"jiriki/core/quantity"
	"jiriki/store"
)

// problem writes an RFC 9457 answer outside an operation.
func problem(c *echo.Context, status int, detail string) error {
	body, err := json.Marshal(huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: detail})
	if err != nil {
		return err
	}
	return c.Blob(status, "application/problem+json", body)
}

// fail turns an error of the store or the core into an answer a person can act on. What is not
// foreseen is logged and answered without its insides.
func (a *api) fail(ctx context.Context, err error) error {
	var fields quantity.FieldErrors
	var file openfile.ReadError
	var body bodyError
	switch {
	case err == nil:
		return nil
	case errors.As(err, &body):
		status, detail := body.problem()
		return huma.NewError(status, detail)
	case errors.As(err, &fields):
		return fieldProblem(fields)
	case errors.As(err, &file):
		return huma.Error422UnprocessableEntity("The file was not read; nothing was changed.",
			&huma.ErrorDetail{Location: file.Where,
				Message: file.Message})
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("It is not here; it may have been deleted.")
	case errors.Is(err, store.ErrFull):
		return huma.Error409Conflict("This machine has a plan for every letter. Delete one first.")
	case errors.Is(err, store.ErrTooMany):
		return huma.Error409Conflict(fmt.Sprintf("A workshop holds at most %d machines and %d parts. "+
			"Delete some first.", openfile.MaxMachines, openfile.MaxShelf))
	case errors.Is(err, store.ErrLong):
		return huma.Error422UnprocessableEntity(fmt.Sprintf("One machine, plan or part holds at most %d MB: "+
			"shorten or delete trials.", bounds.PartBytes>>20))
	case errors.Is(err, store.ErrText):
		return huma.Error422UnprocessableEntity("A text holds a character that cannot be kept.",
			&huma.ErrorDetail{Message: "take out the control character (NUL) and try again"})
	case errors.Is(err, store.ErrNewer):
		a.log.ErrorContext(ctx, "an older program may not write", "err", err)
		return huma.Error503ServiceUnavailable("A newer Jiriki keeps this workshop now, and this one would lose what " +
			"it does not know. What you typed is kept here: start the newer one, and load the page again.")
	case errors.Is(err, store.ErrBusy):
		a.log.WarnContext(ctx, "database busy", "err", err)
		return huma.Error503ServiceUnavailable("The database is busy. What you typed is kept here and saved in a " +
			"moment.")
	case errors.Is(err, store.ErrNoRoom):
		a.log.ErrorContext(ctx, "database takes nothing", "err", err)
		return huma.Error503ServiceUnavailable("The database takes nothing at present: its disk is full, or it may " +
			"only " +
			"be read. What you typed is kept here and saved when it takes it.")
	case errors.Is(err, store.ErrAway), errors.Is(err, context.Canceled), errors.Is(err, context.DeadlineExceeded):
		a.log.WarnContext(ctx, "database away", "err", err)
		return huma.Error503ServiceUnavailable("The database is not answering. What you typed is kept here and saved " +
			"when it is back.")
	}
	a.log.ErrorContext(ctx, "unforeseen", "err", err)
	return huma.Error500InternalServerError("Something went wrong in the server. It has been written to its log.")
}

func fieldProblem(fields quantity.FieldErrors) error {
	details := make([]error, len(fields))
	for i, f := range fields {
		details[i] = &huma.ErrorDetail{Location: f.Field, Message: f.Message, Value: f.Given}
	}
	return huma.Error422UnprocessableEntity("Some entries cannot be used yet.", details...)
}

// conflict is the answer to a stale save: what is saved now, so that nothing is lost.
type conflict[T any] struct {
	huma.ErrorModel
	Current T `json:"current"`
}

// stale says that something was changed elsewhere since it was read, and what it is now.
func stale[T any](what string, now T) error {
	return &conflict[T]{huma.ErrorModel{
		Status: http.StatusConflict, Title: http.StatusText(http.StatusConflict),
		Detail: "This " + what + " was changed in another window since you opened it.",
	}, now}
}
