// Package words puts names and numbers into sentences.
package words

import (
	"fmt"
	"strings"
	"unicode"
	"unicode/utf8"
)

var counts = []string{"no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"}

// Count writes a small number as a word: "three"; past ten in figures.
func Count(n int) string {
	if n < len(counts) {
		return counts[n]
	}
	return fmt.Sprint(n)
}

// Capital begins a sentence: its first letter large.
func Capital(s string) string {
	if s == "" {
		return s
	}
	first, n := utf8.DecodeRuneInString(s)
	return string(unicode.ToUpper(first)) + s[n:]
}

// Sentence ends a title that does not end itself.
func Sentence(title string) string {
	if strings.HasSuffix(title, "?") {
		return title
	}
	return title + "."
}

// LowerFirst puts what began a sentence inside one.
func LowerFirst(s string) string {
	if s == "" {
		return s
	}
	first, n := utf8.DecodeRuneInString(s)
	return string(unicode.ToLower(first)) + s[n:]
}

// Jobs says how many of the jobs are done.
func Jobs(done, jobs int) string {
	switch {
	case jobs == 1 && done == 1:
		return "the job"
	case jobs == 1:
		return "no job"
	case done == 0:
		return "none of " + Count(jobs) + " jobs"
	case done == jobs && jobs == 2:
		return "both jobs"
	case done == jobs:
		return "all " + Count(jobs) + " jobs"
	}
	return Count(done) + " of " + Count(jobs) + " jobs"
}

// Noun puts a name inside a sentence: its first letter small, unless it is an abbreviation.
func Noun(name string) string {
	if len(name) > 1 && name[1] >= 'A' && name[1] <= 'Z' {
		return name
	}
	return LowerFirst(name)
}

// Named is a name, or what stands in for one that is blank.
func Named(name, fallback string) string {
	if strings.TrimSpace(name) != "" {
		return name
	}
	return fallback
}

// List joins words as one says them: "this, that and another".
func List(of []string) string {
	if len(of) < 2 {
		return strings.Join(of, "")
	}
	last := len(of) - 1
	return strings.Join(of[:last], ", ") + " and " + of[last]
}

// A puts the article that goes by its sound before a noun or a figure: "an inverter", "a universal motor", "an 8 A
// drive".
func A(noun string) string {
	if begins(strings.ToLower(noun)) {
		return "an " + noun
	}
	return "a " + noun
}

// begins reports whether a word is said with a vowel first.
func begins(word string) bool {
	number := word[:len(word)-len(strings.TrimLeft(word, "0123456789"))]
	switch {
	case word == "":
		return false
	case number != "":
		return number[0] == '8' || number == "11" || number == "18"
	case strings.HasPrefix(word, "uni") || strings.HasPrefix(word, "us") || strings.HasPrefix(word, "one"):
		return false
	}
	return strings.ContainsRune("aeiou", rune(word[0]))
}
