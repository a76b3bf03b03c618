/** What moved between two plans: what the crew has to be told, and who has to be given anew. */
package hamper.change;
