/** What was handed to devices, and how they stand to the plan since. */
package hamper.handover;
