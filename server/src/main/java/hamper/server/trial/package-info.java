/**
 * What lights show beside what they are meant to, and stand-ins that misbehave to be learned from.
 */
package hamper.server.trial;
