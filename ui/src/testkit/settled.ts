/** Gives what was begun (what is kept on the device, what a page draws) its turns, however slow the machine. */
export async function settled() {
  for (let turns = 0; turns < 30; turns++) await new Promise((r) => setTimeout(r));
}
