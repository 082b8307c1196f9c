#!/bin/sh
# The browser as ChromeDriver starts it: Chromium without a screen, which opens no page unless it is told one.
exec chromium-headless-shell "$@" about:blank
