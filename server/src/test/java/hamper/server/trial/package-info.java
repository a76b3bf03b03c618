/**
 * What must not happen whatever happens: kills, cuts of power, full disks, hostile requests. Each
 * trial has a short form, run with all tests, and a long one ({@code ./hamper test --long}).
 */
package hamper.server.trial;
