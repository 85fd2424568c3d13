// Package trial says what a comparison of lures, baits or ways of fishing them showed: by the fish, the misses
// and the effort of each arm, exactly, with no approximation for large numbers, as numbers are small on the
// water.
//
// Rates are compared with the total given: of x₁ + x₂ fish, those of the first arm are binomial with
// p = r t₁ / (r t₁ + t₂), r being the ratio of the rates and t the effort (Przyborowski and Wilenski 1940). Shares
// (landed of hooked) are compared by Fisher's exact test, one share is bounded after Clopper and Pearson
// (1934). A two-sided p adds up all outcomes no likelier than the one seen. Checked against R 4.2.2.
package trial
