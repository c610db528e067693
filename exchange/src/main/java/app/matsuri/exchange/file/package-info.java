/** Files as they are given: text in any encoding, tables, workbooks, archives. Knows no rule. */
package app.matsuri.exchange.file;
