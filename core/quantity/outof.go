package quantity

import (
	"strconv"
	"strings"
)

// OutOf reads a count out of so many: "9 of 10", or "9/10". It is not ok where it is no such count.
func OutOf(text string) (count, all int, ok bool) {
	first, second, ok := strings.Cut(strings.ReplaceAll(text, "/", " of "), " of ")
	count, errCount := strconv.Atoi(strings.TrimSpace(first))
	all, errAll := strconv.Atoi(strings.TrimSpace(second))
	if !ok || errCount != nil || errAll != nil || all <= 0 || count < 0 || count > all {
		return 0, 0, false
	}
	return count, all, true
}
