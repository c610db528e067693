/** Files as they are given: text in any encoding, tables, workbooks, archives. Knows no rule. */
@NullMarked
package app.matsuri.exchange.file;

import org.jspecify.annotations.NullMarked;
