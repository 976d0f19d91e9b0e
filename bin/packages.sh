# Installs the packages of package-lock.json when they are not those that are installed. Sourced by start and test.
export ASTRO_TELEMETRY_DISABLED=1
stamp="$(sha256sum package-lock.json | cut -d' ' -f1)"
if [ "$(cat node_modules/.footstool-lock 2>/dev/null || true)" != "$stamp" ]; then
  echo "footstool: installing packages"
  npm ci --no-audit --no-fund --loglevel=error
  echo "$stamp" > node_modules/.footstool-lock
fi
