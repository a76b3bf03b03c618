/** What people read and type in: setting sheets, as values that screens, files and paper draw. */
package hamper.sheet;
