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
