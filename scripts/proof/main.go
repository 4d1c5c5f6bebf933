// Command proof tries a whole server from outside: with bodies made to break it, and by killing it and
// its database while people save. It is run by scripts/proof.sh, which gives it a database of its own.
package main

import (
	"cmp"
	"fmt"
	"os"
	"path/filepath"

	"github.com/alecthomas/kong"
)

// place is where the parts of the program are.
type place struct {
	Root    string `help:"The checkout." type:"existingdir" required:""`
	Cluster string `help:"Name of the database cluster, for scripts/postgres.sh." required:""`
	URL     string `help:"Its address." required:""`
	Binary  string `help:"The program; the checkout's when left out." type:"path"`
}

func (p place) binary() string { return cmp.Or(p.Binary, filepath.Join(p.Root, "bin", "jiriki")) }
func (p place) script() string { return filepath.Join(p.Root, "scripts", "postgres.sh") }

var cli struct {
	place
	Bodies   bodiesCmd   `cmd:"" help:"Send what is made to fill the memory, and a crowd, and print the peaks."`
	Mixed    mixedCmd    `cmd:"" help:"Let a crowd write all sorts of things at once, and count what failed and how long a save takes."`
	Large    largeCmd    `cmd:"" help:"Write out and bring back a workshop of many years, as JSON and as a zip, by HTTP and by the command line."`
	Slow     slowCmd     `cmd:"" help:"Let files drip in, and time the rest."`
	Readings readingsCmd `cmd:"" help:"Send readings as quick as any instrument, and look that all arrive in order."`
	Old      oldCmd      `cmd:"" help:"Set programs that know less upon a newer workshop."`
	Kills    killsCmd    `cmd:"" help:"Kill server and database under concurrent saves, and look that nothing acknowledged is lost."`
}

func main() {
	k := kong.Parse(&cli, kong.Name("proof"))
	if err := k.Run(cli.place); err != nil {
		fmt.Fprintln(os.Stderr, "proof:", err)
		os.Exit(1)
	}
}
