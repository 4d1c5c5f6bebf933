package shelf

import (
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

func TestMoneyCarriesItsCurrency(t *testing.T) {
	for text, want := range map[q.Text]string{
		"12": "12", "£12.50": "£12.50", "$ 8": "$8", "90 kr": "90" + q.ThinSpace + "kr",
		"kr 90": "90" + q.ThinSpace + "kr",
		"A$20":  "A$20", "0": "0", "15 €": "€15", "7,50": "7.50",
	} {
		assert.Equal(t, want, ParseMoney(text).String(), text)
	}
	for _, text := range []q.Text{"", "a lot", "-3", "£", "£12 kr", "12 pounds", "1,250"} {
		assert.False(t, ParseMoney(text).Known, text)
		assert.Empty(t, ParseMoney(text).String())
	}
}

func TestCurrenciesAreNeverAddedTogether(t *testing.T) {
	pounds, dollars, free := ParseMoney("£30"), ParseMoney("$12"), ParseMoney("0")
	assert.Equal(t, "£60", pounds.And(pounds).String())
	assert.Equal(t, "£30", free.And(pounds).String())
	assert.Equal(t, "£30", pounds.And(free).String())
	assert.Equal(t, "£42", pounds.And(ParseMoney("12")).String(), "a bare amount is in the workshop's own money")
	assert.Equal(t, "£42", ParseMoney("12").And(pounds).String())
	assert.False(t, pounds.And(dollars).Known)
	assert.False(t, pounds.And(Money{}).Known)
	assert.False(t, pounds.Beside(dollars))
	assert.Equal(t, "£60 + $12", Total([]Money{pounds, dollars, {}, pounds}))
	assert.Empty(t, Total(nil))
}
