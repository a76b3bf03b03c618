/**
 * Guides: from the device outwards to a cause. A guide is data: questions, causes, and for each
 * cause what is answered where it is at work; an answer rules out every cause that would have been
 * answered otherwise. Nobody walks a tree that was written by hand: the next question is the one
 * that leaves the fewest causes, power first. Source: the trial rules, "Guides".
 */
package hamper.guide;
