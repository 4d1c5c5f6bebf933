package main

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net"
	"net/http"
	"os"
	"os/exec"
	"strconv"
	"strings"
	"sync"
	"time"
)

// serving is a server under trial.
type serving struct {
	place
	addr   string
	dataKB int // its data segment is held to so much; 0 for no bound
	cmd    *exec.Cmd
	said   *tail
}

// tail keeps the end of what is written to it.
type tail struct {
	mu   sync.Mutex
	text []byte
}

const mostTail = 4000

func (t *tail) Write(p []byte) (int, error) {
	t.mu.Lock()
	defer t.mu.Unlock()
	t.text = append(t.text, p...)
	t.text = t.text[max(0, len(t.text)-mostTail):]
	return len(p), nil
}

func (t *tail) String() string {
	t.mu.Lock()
	defer t.mu.Unlock()
	return string(t.text)
}

// serving starts a server on a port of its own.
func (p place) serving(dataKB int) (*serving, error) {
	free, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		return nil, err
	}
	s := &serving{place: p, addr: free.Addr().String(), dataKB: dataKB}
	return s, errors.Join(free.Close(), s.start())
}

// lathe makes a machine with a plan, and returns both IDs.
func (s *serving) lathe(name string) (id, planID string, err error) {
	var made struct{ ID, PlanID string }
	status, err := s.json("POST", "/api/machines", map[string]string{"name": name, "kind": "lathe"}, &made)
	if err == nil && status != http.StatusCreated {
		err = fmt.Errorf("machine not made: %d", status)
	}
	return made.ID, made.PlanID, err
}

// start runs the server and waits until it answers with its database.
func (s *serving) start() error {
	bound := "unlimited"
	if s.dataKB > 0 {
		bound = strconv.Itoa(s.dataKB)
	}
	s.cmd = exec.Command("bash", "-c", `ulimit -d "$1" && exec "$2" serve --addr "$3"`, "bash", bound, s.binary(),
		s.addr)
	s.cmd.Env = append(os.Environ(), "DATABASE_URL="+s.URL)
	s.said = &tail{}
	s.cmd.Stderr = s.said
	if err := s.cmd.Start(); err != nil {
		return err
	}
	return s.ready()
}

func (s *serving) ready() error {
	for began := time.Now(); time.Since(began) < time.Minute; time.Sleep(20 * time.Millisecond) {
		res, err := http.Get("http://" + s.addr + "/api/health")
		if err != nil {
			continue
		}
		_ = res.Body.Close()
		if res.StatusCode == http.StatusNoContent {
			return nil
		}
	}
	return fmt.Errorf("the server did not come up; the last it said: %s", s.said)
}

// kill ends the server at once.
func (s *serving) kill() error {
	if err := s.cmd.Process.Kill(); err != nil {
		return err
	}
	_ = s.cmd.Wait() // it was killed
	return nil
}

// send asks and returns status and answer; a status of 0 is no answer at all.
func (s *serving) send(method, path, contentType string, body []byte) (status int, answer []byte) {
	req, err := http.NewRequest(method, "http://"+s.addr+path, bytes.NewReader(body))
	if err != nil {
		return 0, nil
	}
	req.Header.Set("Content-Type", contentType)
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		return 0, nil
	}
	defer func() { _ = res.Body.Close() }()
	answer, err = io.ReadAll(res.Body)
	if err != nil {
		return 0, nil
	}
	return res.StatusCode, answer
}

// json asks with JSON and reads the answer into out.
func (s *serving) json(method, path string, in, out any) (status int, err error) {
	var body []byte
	if in != nil {
		if body, err = json.Marshal(in); err != nil {
			return 0, err
		}
	}
	status, answer := s.send(method, path, "application/json", body)
	if out != nil && status/100 == 2 {
		err = json.Unmarshal(answer, out)
	}
	return status, err
}

// memory reads a figure of the server's memory in MB: VmRSS now, or VmHWM at most since the last reset.
func (s *serving) memory(figure string) float64 {
	text, err := os.ReadFile(fmt.Sprintf("/proc/%d/status", s.cmd.Process.Pid))
	if err != nil {
		return 0
	}
	for line := range strings.Lines(string(text)) {
		if rest, ok := strings.CutPrefix(line, figure+":"); ok {
			kb, _ := strconv.ParseFloat(strings.Fields(rest)[0], 64)
			return kb / 1024
		}
	}
	return 0
}

// resetPeak makes VmHWM start again from what is used now.
func (s *serving) resetPeak() error {
	return os.WriteFile(fmt.Sprintf("/proc/%d/clear_refs", s.cmd.Process.Pid), []byte("5"), 0)
}
