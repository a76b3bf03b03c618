/** The open formats: read with refusals that name the place, written the same way each time. */
package hamper.files;
