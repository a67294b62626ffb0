/**
 * What is learned between sessions: step plans, proposals from laps, the model held against them.
 */
package marvek.core.review;
