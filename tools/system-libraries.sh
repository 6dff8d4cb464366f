#!/usr/bin/env bash
# Install the Debian libraries that Qt, the PDF page and sound need, or name them where we may not.
set -u
wanted=(libegl1 libgl1 libxkbcommon-x11-0 libdbus-1-3 libxcb-cursor0 libxcb-icccm4 libxcb-keysyms1
        libxcb-shape0 libxcb-xinerama0 libfontconfig1 libpango-1.0-0 libpangoft2-1.0-0 libharfbuzz-subset0 libportaudio2 xvfb)
command -v dpkg-query >/dev/null 2>&1 || {
  echo "This is no Debian-like system. Qt, the PDF page and sound need these libraries, by whatever name they have here: ${wanted[*]}" >&2
  exit 0
}
missing=()
for name in "${wanted[@]}"; do
  dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'install ok installed' || missing+=("$name")
done
[ ${#missing[@]} -eq 0 ] && exit 0
if [ "$(id -u)" -eq 0 ]; then run=(); elif sudo -n true 2>/dev/null; then run=(sudo -n); else
  echo "Please install these first: sudo apt-get install ${missing[*]}" >&2
  exit 1
fi
export DEBIAN_FRONTEND=noninteractive
"${run[@]}" apt-get update -qq
"${run[@]}" apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null || {
  echo "apt could not install: ${missing[*]}. Please install them by hand and try again." >&2
  exit 1
}
