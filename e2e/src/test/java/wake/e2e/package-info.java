/** Tests that drive the real interface in Chromium, against the real application in a process of its own. */
package wake.e2e;
