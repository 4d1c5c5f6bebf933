// Command mutants asks of the core's tests whether they would notice: on a copy of the repository it changes
// one figure or one identifier of the core at a time and runs the tests. A change no test fails on survives
// and is printed; so many survivors, and the command fails.
//
// Changed are every figure that has a name at the top of a package, each by a tenth, and the places of
// [changes]. Arguments, when there are any, pick the changes whose description holds one of them.
package main

import (
	"errors"
	"flag"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
)

func main() {
	root := flag.String("root", ".", "the repository")
	flag.Parse()
	if err := run(*root, flag.Args()); err != nil {
		fmt.Fprintln(os.Stderr, "mutants:", err)
		os.Exit(1)
	}
}

func run(root string, picks []string) error {
	dir, err := os.MkdirTemp("", "mutants")
	if err != nil {
		return err
	}
	defer os.RemoveAll(dir)
	if err := copyTracked(root, dir); err != nil {
		return err
	}
	named, err := figures(dir)
	if err != nil {
		return err
	}
	var survivors []string
	tried := 0
	for _, c := range append(named, changes...) {
		if !picked(c, picks) {
			continue
		}
		tried++
		killer, err := try(dir, c)
		if err != nil {
			return fmt.Errorf("%s: %w", c, err)
		}
		if killer == "" {
			survivors = append(survivors, c.String())
			killer = "SURVIVES"
		}
		fmt.Printf("%-100s %s\n", c, killer)
	}
	fmt.Printf("%d changes, %d survivors\n", tried, len(survivors))
	if len(survivors) > 0 {
		return fmt.Errorf("no test notices:\n  %s", strings.Join(survivors, "\n  "))
	}
	return nil
}

func picked(c change, picks []string) bool {
	for _, p := range picks {
		if strings.Contains(c.String(), p) {
			return true
		}
	}
	return len(picks) == 0
}

// copyTracked copies what the repository keeps and the Go tests read; it leaves what is only looked at.
func copyTracked(root, dir string) error {
	list, err := exec.Command("git", "-C", root, "ls-files", "-z", "--cached", "--others", "--exclude-standard",
		"--", ":!docs/screenshots", ":!e2e").Output()
	if err != nil {
		return err
	}
	for _, name := range strings.Split(strings.TrimSuffix(string(list), "\x00"), "\x00") {
		data, err := os.ReadFile(filepath.Join(root, name))
		if errors.Is(err, os.ErrNotExist) {
			continue // deleted, and not yet committed so
		}
		if err != nil {
			return err
		}
		to := filepath.Join(dir, name)
		if err := os.MkdirAll(filepath.Dir(to), 0o755); err != nil {
			return err
		}
		if err := os.WriteFile(to, data, 0o644); err != nil {
			return err
		}
	}
	return nil
}

// try makes a change, runs the tests, and takes it back. It names the packages whose tests failed first: the
// changed one alone, then those that show a whole answer, then all others; none when every test passes.
func try(dir string, c change) (killer string, err error) {
	file := filepath.Join(dir, c.file)
	was, err := os.ReadFile(file)
	if err != nil {
		return "", err
	}
	if n := strings.Count(string(was), c.from); n != 1 {
		return "", fmt.Errorf("%q stands there %d times", c.from, n)
	}
	if err := os.WriteFile(file, []byte(strings.Replace(string(was), c.from, c.to, 1)), 0o644); err != nil {
		return "", err
	}
	defer func() { err = errors.Join(err, os.WriteFile(file, was, 0o644)) }()
	// The architecture test at the root of core reads the source, not the answers, and is not asked.
	for _, packages := range []string{"./" + filepath.Dir(c.file), "./core/assess", "./core/..."} {
		out, err := tests(dir, packages)
		if err == nil {
			continue
		}
		if strings.Contains(out, "build failed]") || strings.Contains(out, "setup failed]") {
			return "", fmt.Errorf("does not build:\n%s", out)
		}
		for _, line := range strings.Split(out, "\n") {
			if name, ok := strings.CutPrefix(strings.TrimSpace(line), "--- FAIL: "); ok {
				return strings.Fields(name)[0], nil
			}
		}
		return "", fmt.Errorf("fails in no test:\n%s", out)
	}
	return "", nil
}

func tests(dir, packages string) (string, error) {
	list := exec.Command("go", "list", packages)
	list.Dir = dir
	names, err := list.Output()
	if err != nil {
		return "", err
	}
	args := []string{"test", "-failfast", "-vet=off"}
	for _, name := range strings.Fields(string(names)) {
		if !strings.HasSuffix(name, "/core") {
			args = append(args, name)
		}
	}
	cmd := exec.Command("go", args...)
	cmd.Dir = dir
	out, err := cmd.CombinedOutput()
	return string(out), err
}
