package shelf

import (
	"regexp"
	"slices"
	"strconv"
	"strings"

	q "jiriki/core/quantity"
)

// Money is an amount in the currency it was typed in. Currencies are never changed into one another; a bare amount
// is in the workshop's own money, and taken as in whatever the others are in.
type Money struct {
	Amount float64
	Mark   string // as it was typed: £, $, kr; empty where none was
	Known  bool
}

// moneyForm is a mark before or after a number.
var moneyForm = regexp.MustCompile(`^([A-Za-zł]{0,3}[£$€¥₹]?)\s*(\d[\d.,  ]*?)\s*([A-Za-zł]{0,3}[£$€¥₹]?)\.?$`)

// ParseMoney reads a cost such as "12", "£12.50" or "90 kr"; unknown when it is none.
func ParseMoney(text q.Text) Money {
	m := moneyForm.FindStringSubmatch(strings.TrimSpace(string(text)))
	if m == nil || m[1] != "" && m[3] != "" {
		return Money{}
	}
	v, err := q.Parse(q.Text(m[2]), q.Number)
	if err != nil {
		return Money{}
	}
	return Money{Amount: v, Mark: m[1] + m[3], Known: true}
}

// Price is what the item cost, or would fetch.
func (i Item) Price() Money { return ParseMoney(i.Cost) }

// And adds an amount in the same currency; what is in another, or unknown, makes the sum unknown.
func (m Money) And(o Money) Money {
	if !m.Known || !o.Known || !m.Beside(o) {
		return Money{}
	}
	if m.Amount == 0 || m.Mark == "" {
		m.Mark = o.Mark
	}
	m.Amount += o.Amount
	return m
}

// Beside reports whether two amounts can be compared. Nothing is nothing in every currency.
func (m Money) Beside(o Money) bool {
	return m.Mark == o.Mark || m.Mark == "" || o.Mark == "" || m.Amount == 0 || o.Amount == 0
}

// String shows it as a price is written; nothing when it is unknown.
func (m Money) String() string {
	if !m.Known {
		return ""
	}
	amount := strings.TrimSuffix(strconv.FormatFloat(m.Amount, 'f', 2, 64), ".00")
	switch {
	case m.Mark == "":
		return amount
	case strings.ContainsAny(m.Mark, "£$€¥₹"):
		return m.Mark + amount
	}
	return amount + q.ThinSpace + m.Mark
}

// Total shows what several amounts come to, each currency by itself in the order they come: "£30 + $12".
func Total(of []Money) string {
	sums := []Money{}
	for _, m := range of {
		if !m.Known {
			continue
		}
		if i := slices.IndexFunc(sums, m.Beside); i >= 0 {
			sums[i] = sums[i].And(m)
		} else {
			sums = append(sums, m)
		}
	}
	shown := make([]string, len(sums))
	for i, sum := range sums {
		shown[i] = sum.String()
	}
	return strings.Join(shown, " + ")
}
