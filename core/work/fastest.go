package work

// FastestWanted is the fastest speed a job asks for, within the machine's limit; rad/s.
func (m *Resolved) FastestWanted() float64 {
	fastest := 0.0
	for _, job := range m.Jobs {
		if job.Missing == "" {
			fastest = max(fastest, job.High)
		}
	}
	limit, _ := m.TopSpeed()
	return min(fastest, limit)
}

// SlowestWanted is the slowest speed a job asks for; rad/s, 0 where none does.
func (m *Resolved) SlowestWanted() float64 {
	slowest := 0.0
	for _, job := range m.Jobs {
		if job.Missing == "" && (slowest == 0 || job.Low < slowest) {
			slowest = job.Low
		}
	}
	return slowest
}

// Proven is the fastest that the motor it had turned it through its own pulleys, rad/s; 0 where no job tells.
func (m *Resolved) Proven() float64 {
	fastest := 0.0
	for i := range m.Jobs {
		job := &m.Jobs[i]
		if job.Method != ByReplaced || job.Missing != "" {
			continue
		}
		for _, p := range job.Points {
			fastest = max(fastest, p.Omega)
		}
	}
	return fastest
}
