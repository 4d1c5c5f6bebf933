package server

import (
	"errors"
	"io"
	"net/http"
	"os"
	"strconv"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humaecho"
)

// A file that is sent is put by on disk before its operation takes a place in a lane or a transaction: a slow
// connection then holds up nobody.

// takingFile says that an operation takes a file of so many bytes at most.
func takingFile(most int64, op huma.Operation) huma.Operation {
	if op.Metadata == nil {
		op.Metadata = map[string]any{}
	}
	op.Metadata["file"] = most
	return op
}

func fileOf(op *huma.Operation) (most int64, ok bool) {
	most, ok = op.Metadata["file"].(int64)
	return most, ok
}

const (
	// mostPutBy is how many files come in at once; each is some bytes of memory and a place on disk.
	mostPutBy = 32
	// pieceOfFile is what must come of a file in the time a body has.
	pieceOfFile = 32 << 10
)

// errNowhere is a server without a place for files.
var errNowhere = errors.New("nowhere to put a file by")

// putBy takes the request's file onto disk. The file has no name any more, so that nothing of it is left when it is
// closed, however the program ends. The error is a bodyError, or errNowhere.
func (a *api) putBy(ctx huma.Context, most int64) (*os.File, error) {
	if length, err := strconv.ParseInt(ctx.Header("Content-Length"), 10, 64); err == nil && length > most {
		return nil, bodyError{errTooLarge, most}
	}
	file, err := os.CreateTemp("", "jiriki-")
	if err != nil {
		return nil, errors.Join(errNowhere, err)
	}
	if err := os.Remove(file.Name()); err != nil {
		return nil, errors.Join(errNowhere, err, file.Close())
	}
	if err := a.copyFile(ctx, file, most); err != nil {
		return nil, errors.Join(err, file.Close())
	}
	return file, nil
}

// copyFile copies a request's body and goes back to its beginning. A piece must have come within each time a body has.
func (a *api) copyFile(ctx huma.Context, to *os.File, most int64) error {
	body := bodyReader{ctx.BodyReader()}
	for size := int64(0); ; {
		err := ctx.SetReadDeadline(time.Now().Add(a.bodyTime))
		if err != nil && !errors.Is(err, http.ErrNotSupported) {
			return err
		}
		n, err := io.CopyN(to, body, pieceOfFile)
		var broken bodyError
		switch size += n; {
		case size > most:
			return bodyError{errTooLarge, most}
		case errors.Is(err, io.EOF):
			_, err = to.Seek(0, io.SeekStart)
			return err
		case errors.As(err, &broken):
			return broken
		case err != nil:
			return errors.Join(errNowhere, err)
		}
	}
}

// withFile puts a request's file by and gives the operation that in place of its body. done closes it. ok is false
// when the request was refused.
func (a *api) withFile(h huma.API, ctx huma.Context, most int64) (done func(), ok bool) {
	leave, entered := a.putBys.enter(ctx.Context())
	if !entered {
		a.refuseBusy(h, ctx, "Too many files come in at once. Send it again in a moment.")
		return nil, false
	}
	defer leave()
	file, err := a.putBy(ctx, most)
	switch {
	case errors.Is(err, errNowhere):
		a.log.ErrorContext(ctx.Context(), "a file could not be put by", "err", err)
		a.refuse(h, ctx, http.StatusServiceUnavailable,
			"The server has no room to put the file by: its folder for such files (TMPDIR) is full or not there.")
		return nil, false
	case err != nil:
		status, detail := bodyError{err, most}.problem()
		a.refuse(h, ctx, status, detail)
		return nil, false
	}
	r := humaecho.Unwrap(ctx).Request()
	r.Body = file
	return func() {
		if err := file.Close(); err != nil {
			a.log.WarnContext(ctx.Context(), "a file put by", "err", err)
		}
	}, true
}
