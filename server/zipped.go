package server

import (
	"archive/zip"
	"bytes"
	"context"
	"encoding/binary"
	"errors"
	"io"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"jiriki/core/openfile"
	"jiriki/picture"
	"jiriki/store"
)

// exportZip writes the file with the pictures beside it.
func (a *api) exportZip(context.Context, *struct{}) (*huma.StreamResponse, error) {
	return a.download("jiriki-workshop.zip", "application/zip", ExportZip), nil
}

// ExportZip writes a workshop as a zip: the open file, and the pictures beside it, each under its ID.
func ExportZip(ctx context.Context, from *store.Store, out io.Writer) error {
	z := zip.NewWriter(out)
	text, err := z.Create(zippedFile)
	if err != nil {
		return err
	}
	if err := Export(ctx, from, text); err != nil {
		return err
	}
	if err := from.Pictures(ctx, func(id string, jpeg []byte) error {
		// A JPEG gets no smaller.
		to, err := z.CreateHeader(&zip.FileHeader{Name: zippedPictures + id + ".jpg", Method: zip.Store})
		if err != nil {
			return err
		}
		_, err = to.Write(jpeg)
		return err
	}); err != nil {
		return err
	}
	return z.Close()
}

// What is in a zip: the open file, and the pictures by their IDs.
const (
	zippedFile     = "workshop.json"
	zippedPictures = "pictures/"
)

// zipBegins is what a zip with anything in it begins with.
const zipBegins = "PK\x03\x04"

func importZip(ctx context.Context, to *store.Store, file File) (Imported, error) {
	var added Imported
	size, err := file.Seek(0, io.SeekEnd)
	if err == nil && size > openfile.MaxBytes {
		err = bodyError{errTooLarge, openfile.MaxBytes}
	}
	if err != nil {
		return added, err
	}
	if err := boundNames(file, size); err != nil {
		return added, err
	}
	z, err := zip.NewReader(file, size)
	if err != nil {
		return added, openfile.ReadError{Message: "the zip is broken"}
	}
	i := slices.IndexFunc(z.File, func(f *zip.File) bool { return f.Name == zippedFile })
	if i < 0 {
		return added, openfile.ReadError{Message: "the zip holds no " + zippedFile}
	}
	text, err := z.File[i].Open()
	if err != nil {
		return added, openfile.ReadError{Where: zippedFile, Message: "cannot be unpacked"}
	}
	defer func() { _ = text.Close() }()
	err = to.Import(ctx, func(sink openfile.Sink) error {
		if err := readInto(sink, text, &added); err != nil {
			return err
		}
		pictures, ok := sink.(store.PictureSink)
		if !ok {
			return nil
		}
		for _, f := range z.File {
			if err := importPicture(pictures, f); err != nil {
				return err
			}
		}
		return nil
	})
	return added, err
}

// importPicture takes one picture of a zip, made to fit as any that is sent.
func importPicture(to store.PictureSink, f *zip.File) error {
	id, ok := strings.CutPrefix(f.Name, zippedPictures)
	id = strings.TrimSuffix(id, ".jpg")
	if !ok || !isUUID(id) {
		return nil
	}
	r, err := f.Open()
	if err != nil {
		return openfile.ReadError{Where: f.Name, Message: "cannot be unpacked"}
	}
	defer func() { _ = r.Close() }()
	data, err := io.ReadAll(io.LimitReader(r, picture.MaxBytes+1))
	if err != nil {
		return openfile.ReadError{Where: f.Name, Message: "cannot be unpacked"}
	}
	full, thumbnail, err := picture.Fit(data)
	if err != nil {
		return openfile.ReadError{Where: f.Name, Message: err.Error()}
	}
	return to.Picture(id, full, thumbnail)
}

// How a zip ends: with a record that says where the directory of its names is, and before that, in zips of more than
// 65 534 names, one that says where a longer record is.
const (
	zipEnds       = "PK\x05\x06"
	zipEndsLong   = "PK\x06\x07"
	zipEnd        = 22 // bytes, and a comment
	zipEndLong    = 20
	zipComment    = 1<<16 - 1
	mostDirectory = 4 << 20 // bytes of names that are read; some forty thousand pictures
)

// boundNames refuses a zip whose names would fill the memory, before they are read. The error is an openfile.ReadError.
func boundNames(file io.ReaderAt, size int64) error {
	tail := make([]byte, min(size, zipEnd+zipComment))
	from := size - int64(len(tail))
	if _, err := file.ReadAt(tail, from); err != nil && !errors.Is(err, io.EOF) {
		return err
	}
	for i := len(tail) - zipEnd; i >= 0; i-- {
		end := tail[i:]
		if string(end[:4]) != zipEnds || zipEnd+int(binary.LittleEndian.Uint16(end[20:])) > len(end) {
			continue
		}
		at := from + int64(i)
		directory, begins := int64(binary.LittleEndian.Uint32(end[12:])), int64(binary.LittleEndian.Uint32(end[16:]))
		long := i >= zipEndLong && bytes.HasPrefix(tail[i-zipEndLong:], []byte(zipEndsLong))
		if long || directory > mostDirectory || at-begins > mostDirectory {
			return openfile.ReadError{Message: "the zip holds too many names"}
		}
		return nil
	}
	return openfile.ReadError{Message: "the zip is broken"}
}
