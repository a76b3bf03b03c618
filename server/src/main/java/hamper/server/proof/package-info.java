/**
 * Whether every pixel shows what was meant: a display's packets through stand-ins, compared byte by
 * byte.
 */
package hamper.server.proof;
