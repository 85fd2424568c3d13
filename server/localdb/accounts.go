package localdb

import "strings"

const (
	database = "greypebble"
	account  = "greypebble"
)

// rights of the program's account: what its tables and their upgrades take, no more.
const rights = "SELECT, INSERT, UPDATE, DELETE, CREATE, ALTER, DROP, INDEX, REFERENCES"

// accounts the server has, told to it at each start before it listens: the program's, and
// nobody else's. There is no root and nobody without a name; what an earlier program left
// is taken away. The password consists of hexadecimal digits.
func accounts(password string) string {
	const who = "'" + account + "'@'127.0.0.1'"
	return strings.Join([]string{
		"CREATE DATABASE IF NOT EXISTS " + database + ";",
		"CREATE USER IF NOT EXISTS " + who + " IDENTIFIED BY '" + password + "';",
		"ALTER USER " + who + " IDENTIFIED BY '" + password + "';",
		"REVOKE ALL PRIVILEGES, GRANT OPTION FROM " + who + ";",
		"GRANT " + rights + " ON " + database + ".* TO " + who + ";",
		"DELETE FROM mysql.global_priv WHERE User NOT IN ('" + account + "', 'mariadb.sys');",
		"DELETE FROM mysql.db WHERE User <> '" + account + "';",
		"DELETE FROM mysql.proxies_priv;",
		"FLUSH PRIVILEGES;",
	}, "\n") + "\n"
}
