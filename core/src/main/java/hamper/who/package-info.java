/** Who is there on the show network, beside who is planned to be. */
package hamper.who;
