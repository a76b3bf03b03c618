/**
 * What is put on lights to look at them: a pattern is a function from pixel and time to a colour;
 * whoever sends makes levels of it. Source: the trial rules, "The place Trial".
 */
package hamper.pattern;
