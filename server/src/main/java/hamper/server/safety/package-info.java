/** Security by default: this machine only, our own pages only. */
package hamper.server.safety;
