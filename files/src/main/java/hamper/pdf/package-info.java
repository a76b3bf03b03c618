/** Sheets as PDF: text is text, and drawings are lines. */
package hamper.pdf;
