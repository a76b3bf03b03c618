/** What makers sell: device models and pixel types, as data. Read by files, never by core. */
package hamper.catalog;
