/** What a crew holds in its hands: sheets, one value each, whoever draws them. */
package hamper.paper;
