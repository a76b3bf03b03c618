/** What can be wrong with a plan: one check a class, facts only. */
package hamper.check;
