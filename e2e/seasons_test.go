package e2e

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"greypebble/e2e/browser"
)

// What is usual is entered month by month in one's own units, and gives the fish of that water a year.
func TestTheUsualMakesASeason(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Go("/ahead/seasons"))
	require.NoError(t, p.WaitText("Nobody has said how warm this water usually is."))
	noViolations(t, p, "seasons")
	require.NoError(t, p.Click("Say it"))
	require.NoError(t, p.Wait(`document.querySelector('.usual-year')`))
	require.NoError(t, p.Still())
	for i, c := range []int{11, 11, 13, 16, 20, 24, 27, 27, 25, 21, 17, 13} {
		month := []string{"January", "February", "March", "April", "May", "June", "July", "August", "September", "October",
			"November", "December"}[i]
		text := fmt.Sprint(c)
		if i == 0 {
			text = "52F"
		}
		require.NoError(t, p.Fill("water in "+month, text+"\t"))
	}
	picture(t, p, "usual")
	noViolations(t, p, "usual")
	require.NoError(t, p.Click("Keep these"))
	require.NoError(t, p.WaitText("The usual conditions are kept."))
	require.NoError(t, p.Still())
	// A table goes over what stands there, what is wrong with one is said; it is kept when one says so.
	handFile(t, p, "Bring a table (CSV)", "sill.csv", "month,water_temp_c\n1,80\n")
	require.NoError(t, p.WaitText("sill.csv: line 2, column water_temp_c"))
	handFile(t, p, "Bring a table (CSV)", "sill.csv", "month;clarity_secchi_m;wind_speed_kn\nJune;2,5;12\n")
	require.NoError(t, p.WaitText("sill.csv stands in the months above."))
	assert.Equal(t, "2.5", eval[string](t, p, `document.querySelector('[aria-label="clarity in June"]').value`))
	assert.Contains(t, eval[string](t, p, `document.querySelector('[aria-label="water in June"]').value`), "24")
	require.NoError(t, p.Click("Keep these"))
	require.NoError(t, p.Wait(`[...document.querySelectorAll('button')].some((b) => b.innerText === 'Keep these' && b.disabled)`))
	of := eval[string](t, p, `document.querySelector('.usual-water .ant-select').innerText`)
	require.NoError(t, p.Go("/ahead/seasons"))
	require.NoError(t, p.WaitText("Usual water"))
	require.NoError(t, p.Still())
	picture(t, p, "seasons")
	months := eval[[]string](t, p, `[...[...document.querySelectorAll('.seasons-water')].find((w) => w.innerText.startsWith('`+of+`'))
		.querySelectorAll('tbody tr')].find((r) => r.innerText.startsWith('Florida pompano')).innerHTML.match(/aria-label="[^"]*"/g)`)
	require.Len(t, months, 12)
	assert.NotContains(t, months[0], "feeding", "11 °C is no water for it")
	assert.Regexp(t, "feeding|at its best", months[5])
	// It lies in its words too.
	require.NoError(t, p.Click("The next four weeks"))
	require.NoError(t, p.WaitText("Florida pompano: "))
	noViolations(t, p, "seasons of a known water")
}

// A month of a spot goes on one page of paper.
func TestAMonthIsPrinted(t *testing.T) {
	p := signedIn(t, "wren", browser.Desk)
	require.NoError(t, p.Click("A month on paper"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.month tbody tr').length === 30`))
	require.NoError(t, p.Still())
	picture(t, p, "month")
	noViolations(t, p, "a month")
	require.NoError(t, p.Click("Month after"))
	require.NoError(t, p.Wait(`document.querySelectorAll('.month tbody tr').length === 31`))
	require.NoError(t, p.OnPaper(true))
	assert.Zero(t, eval[int](t, p, `[...document.querySelectorAll('.rail, .head, .month-acts')]
		.filter((e) => e.getClientRects().length > 0).length`))
	// A4 on its side at 96 px to the inch, margins of a centimetre off.
	assert.LessOrEqual(t, eval[float64](t, p, `document.querySelector('.month').getBoundingClientRect().height`), 1400.0)
	require.NoError(t, p.OnPaper(false))
}
