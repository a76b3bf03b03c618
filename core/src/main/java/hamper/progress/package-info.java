/** Where each string is, from the workshop to seen right, and back into storage. */
package hamper.progress;
