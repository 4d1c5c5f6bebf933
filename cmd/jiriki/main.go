// Command jiriki serves the workshop and moves it in and out of files.
package main

import (
	"bufio"
	"context"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"log/slog"
	"net"
	"net/http"
	"os"
	"os/signal"
	"path/filepath"
	"strings"
	"syscall"
	"time"

	"github.com/alecthomas/kong"

	"jiriki/core/plan"
	"jiriki/core/source"
	"jiriki/demo"
	"jiriki/server"
	"jiriki/store"
	"jiriki/web"
)

var cli struct {
	DatabaseURL string `env:"DATABASE_URL" name:"database-url" help:"PostgreSQL to keep the workshop in."`

	Serve    serveCmd    `cmd:"" help:"Serve the application."`
	Migrate  migrateCmd  `cmd:"" help:"Bring the database up to date."`
	Demo     demoCmd     `cmd:"" help:"Load the demo workshop into an empty database."`
	Export   exportCmd   `cmd:"" help:"Write the workshop as an open file."`
	Import   importCmd   `cmd:"" help:"Add an open file to the workshop."`
	Bench    benchCmd    `cmd:"" help:"A simulated machine that sends what its instruments read."`
	Describe describeCmd `cmd:"" help:"Print the API (openapi), the open file's schema, the sources register, or the fields for the interface."`
}

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	k := kong.Parse(&cli, kong.Name("jiriki"), kong.Description("A machine, a motor out of something else, and what "+
		"lies between."), kong.BindTo(ctx, (*context.Context)(nil)))
	if err := k.Run(); err != nil {
		fmt.Fprintln(os.Stderr, "jiriki:", plain(err))
		os.Exit(1)
	}
}

// plain is an error in one line.
func plain(err error) string {
	switch {
	case errors.Is(err, store.ErrAway):
		return "the database does not answer; start it, or look at DATABASE_URL"
	case errors.Is(err, syscall.EADDRINUSE):
		return "the port is taken; choose another, such as make demo PORT=7421"
	}
	return err.Error()
}

func open() (*store.Store, error) {
	if cli.DatabaseURL == "" {
		return nil, errors.New("no database: set DATABASE_URL or give --database-url")
	}
	return store.Open(cli.DatabaseURL)
}

// migrated opens the store with its schema up to date.
func migrated(ctx context.Context) (*store.Store, error) {
	s, err := open()
	if err != nil {
		return nil, err
	}
	if err := s.Migrate(ctx); err != nil {
		return nil, errors.Join(err, s.Close())
	}
	return s, nil
}

type serveCmd struct {
	Addr        string   `default:"127.0.0.1:7420" help:"Address to listen on; loopback unless told otherwise."`
	Host        []string `help:"Host name to answer to besides loopback; may be repeated."`
	LetAnyoneIn bool     `help:"Serve on an address that others can reach. There is no sign-in: whoever reaches it reads, changes and deletes everything."`
}

// Run serves until it is interrupted, then lets requests under way finish. While the database is away
// it serves all the same, and says so.
func (c *serveCmd) Run(ctx context.Context) error {
	log := slog.New(slog.NewTextHandler(os.Stderr, nil))
	if err := c.mayListen(log); err != nil {
		return err
	}
	server.TuneMemory()
	s, err := open()
	if err != nil {
		return err
	}
	defer func() { _ = s.Close() }()
	var site fs.FS
	if site, err = web.Site(); err != nil {
		log.Warn("the interface is not built into this binary; serving the API alone")
		site = nil
	}
	listener, err := net.Listen("tcp", c.Addr)
	if err != nil {
		return err
	}
	jiriki := server.New(server.Config{Store: s, Site: site, Hosts: c.Host, Log: log})
	srv := server.HTTP(c.Addr, jiriki)
	done := make(chan error, 2)
	go func() { done <- srv.Serve(listener) }()
	go func() {
		if err := upToDate(ctx, s, log); err != nil {
			done <- err
			return
		}
		jiriki.Warm(ctx)
	}()
	log.Info("serving", "address", "http://"+listener.Addr().String())
	select {
	case err := <-done:
		return err
	case <-ctx.Done():
	}
	finish, cancel := context.WithTimeout(context.Background(), 5*time.Second)
	defer cancel()
	if err := srv.Shutdown(finish); err != nil && !errors.Is(err, http.ErrServerClosed) {
		return err
	}
	return nil
}

// mayListen refuses an address that others can reach, unless that is meant.
func (c *serveCmd) mayListen(log *slog.Logger) error {
	host, _, err := net.SplitHostPort(c.Addr)
	if err != nil {
		return fmt.Errorf("address: %w", err)
	}
	if ip := net.ParseIP(host); host == "localhost" || ip != nil && ip.IsLoopback() {
		return nil
	}
	if !c.LetAnyoneIn {
		return fmt.Errorf("%s can be reached from other machines, and there is no sign-in yet: whoever reaches it "+
			"reads, changes and deletes everything. Serve on 127.0.0.1, or add --let-anyone-in if that is meant",
			c.Addr)
	}
	log.Warn("whoever reaches this address reads, changes and deletes everything: there is no sign-in", "address",
		c.Addr)
	return nil
}

// upToDate brings the schema up to date as soon as the database answers.
func upToDate(ctx context.Context, s *store.Store, log *slog.Logger) error {
	for waited := false; ; waited = true {
		err := s.Migrate(ctx)
		if !errors.Is(err, store.ErrAway) {
			return err
		}
		if !waited {
			log.Warn("the database does not answer; trying until it does", "err", err)
		}
		select {
		case <-ctx.Done():
			return nil
		case <-time.After(time.Second):
		}
	}
}

type migrateCmd struct{}

// Run brings the schema up to date.
func (*migrateCmd) Run(ctx context.Context) error {
	s, err := migrated(ctx)
	if err != nil {
		return err
	}
	return s.Close()
}

type demoCmd struct{}

// Run loads the demo workshop unless the database ever held a machine.
func (*demoCmd) Run(ctx context.Context) error {
	s, err := migrated(ctx)
	if err != nil {
		return err
	}
	defer func() { _ = s.Close() }()
	untouched, err := s.Untouched(ctx)
	if err != nil || !untouched {
		return err
	}
	f, err := demo.Workshop()
	if err != nil {
		return err
	}
	return s.Import(ctx, f.Send)
}

type exportCmd struct {
	File string `arg:"" optional:"" help:"Where to write, a zip with the pictures where its name ends in .zip; standard output when left out." type:"path"`
}

// Run writes the workshop.
func (c *exportCmd) Run(ctx context.Context) error {
	s, err := open()
	if err != nil {
		return err
	}
	defer func() { _ = s.Close() }()
	if c.File == "" {
		return export(ctx, s, os.Stdout, server.Export)
	}
	write := server.Export
	if strings.EqualFold(filepath.Ext(c.File), ".zip") {
		write = server.ExportZip
	}
	// A file that is there already is kept until the new one is whole.
	out, err := os.CreateTemp(filepath.Dir(c.File), ".jiriki-*")
	if err != nil {
		return err
	}
	if err := errors.Join(export(ctx, s, out, write), out.Chmod(0o644), out.Close()); err != nil {
		return errors.Join(err, os.Remove(out.Name()))
	}
	return os.Rename(out.Name(), c.File)
}

func export(ctx context.Context, s *store.Store, to io.Writer,
	write func(context.Context, *store.Store, io.Writer) error) error {
	buffered := bufio.NewWriter(to)
	return errors.Join(write(ctx, s, buffered), buffered.Flush())
}

type importCmd struct {
	File string `arg:"" help:"Open file to add." type:"existingfile"`
}

// Run adds a file, all of it or nothing.
func (c *importCmd) Run(ctx context.Context) error {
	f, err := os.Open(c.File)
	if err != nil {
		return err
	}
	defer func() { _ = f.Close() }()
	s, err := migrated(ctx)
	if err != nil {
		return err
	}
	defer func() { _ = s.Close() }()
	_, err = server.Import(ctx, s, f)
	return err
}

type describeCmd struct {
	What string `arg:"" enum:"openapi,schema,sources,fields"`
}

// Run prints a description made from the code itself.
func (c *describeCmd) Run() error {
	var out []byte
	var err error
	switch c.What {
	case "openapi":
		out, err = server.OpenAPI()
	case "schema":
		out, err = server.Schema()
	case "sources":
		out = []byte(source.Markdown())
	case "fields":
		out = fieldsModule()
	}
	if err != nil {
		return err
	}
	_, err = os.Stdout.Write(out)
	return err
}

// fieldsModule is a TypeScript module of the paths of all fields.
func fieldsModule() []byte {
	list := func(paths []string) string { return "'" + strings.Join(paths, " ") + "'.split(' ')" }
	units := func(fields []plan.FieldUnit) string {
		out := make([]string, len(fields))
		for i, f := range fields {
			out[i] = f.Path + "=" + f.Unit
		}
		return list(out)
	}
	return fmt.Appendf(nil, "/** Every field there is, as the core names it; made from the code by `make types`. "+
		"*/\nexport const planFields = %s;\nexport const partFields = %s;\n"+
		"/** What a bare number in a field is taken in: metric, inch, and in a file, where that is another. */\n"+
		"export const planUnits = %s;\nexport const partUnits = %s;\n",
		list(plan.Fields()), list(plan.PartFields()), units(plan.Units()), units(plan.PartUnits()))
}
