/** What is on the network beside what is planned to be there. */
package hamper.listen;
