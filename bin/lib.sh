# Shared by bin/start, bin/stop and bin/test. Sourced, not run.
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root" || exit 1
umask 022

say() { printf '%s\n' "$*"; }
fail() { printf 'Cobblestone: %s\n' "$*" >&2; exit 1; }
as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo "$@"; fi; }

# A short name that is always the same for this checkout.
mark=$(printf '%s' "$root" | cksum | cut -d' ' -f1)

# need PACKAGE...: installs the Debian packages that are missing, and says which.
need() {
    local missing=() package installed
    installed=$(dpkg-query -W -f='${Package} ${db:Status-Status}\n' "$@" 2>/dev/null) || true
    for package in "$@"; do
        grep -qx "$package installed" <<<"$installed" || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return
    command -v apt-get >/dev/null || fail "these Debian packages are missing and there is no apt-get: ${missing[*]}"
    say "Installing from Debian: ${missing[*]}"
    mkdir -p var/log
    { as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}"; } \
        >var/log/apt.log 2>&1 || { tail -n 20 var/log/apt.log >&2; fail "the packages above could not be installed; see var/log/apt.log"; }
}

# unpacked FOLDER PACKAGE...: what Debian packages hold, without installing them.
unpacked() {
    local folder=$root/$1 package; shift
    mkdir -p "$folder"
    for package in "$@"; do
        [ -e "$folder/.$package" ] && continue
        (cd "$folder" && apt-get download -qq "$package" >/dev/null 2>&1 && dpkg-deb -x "$package"_*.deb . && rm -f "$package"_*.deb && touch ".$package") ||
            fail "the Debian package $package could not be fetched"
    done
}

# base_packages [PACKAGE...]: what every command needs, and these, in one go.
base_packages() {
    local wanted=(
        ca-certificates git unzip curl procps composer php8.2-cli php8.2-fpm php8.2-apcu php8.2-igbinary php8.2-pgsql php8.2-zip
        php8.2-curl php8.2-mbstring php8.2-intl php8.2-xml php8.2-gd postgresql nginx-light
        # What images are read with, and sticks made and proven with; xorriso and genisoimage make the demo images.
        fdisk gdisk dosfstools mtools exfatprogs 7zip sbsigntool openssl qrencode xz-utils bzip2 zstd xorriso genisoimage
    )
    command -v npm >/dev/null || wanted+=(nodejs npm)
    need "${wanted[@]}" "$@"
}

composer_packages() {
    local wanted
    wanted=$(cat composer.json compat/*/composer.json | cksum)
    if [ -f vendor/autoload.php ] && [ "$(cat var/composer.stamp 2>/dev/null)" = "$wanted" ]; then return; fi
    say "Installing Composer packages"
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress -q || fail "composer install did not succeed"
    printf '%s' "$wanted" >var/composer.stamp
}

npm_packages() {
    local wanted
    wanted=$(cat package.json scripts/assets.mjs | cksum)
    if [ -f public/vendor/bootstrap.min.css ] && [ -f node_modules/axe-core/axe.min.js ] && [ "$(cat var/npm.stamp 2>/dev/null)" = "$wanted" ]; then return; fi
    say "Installing npm packages"
    npm install --no-audit --no-fund --loglevel=error >var/npm.log 2>&1 || { tail -n 20 var/npm.log >&2; fail "npm install did not succeed"; }
    chmod -R a+rX public/vendor
    printf '%s' "$wanted" >var/npm.stamp
}

# dependencies: Composer and npm packages beside each other, only when their lists have changed.
dependencies() {
    local beside
    mkdir -p var
    npm_packages & beside=$!
    composer_packages
    wait $beside || exit 1
    # Our own styles and scripts: put together anew when any of them is newer than what the pages are given.
    if [ ! -f public/app.css ] || [ -n "$(find resources/css resources/js scripts/assets.mjs -newer public/app.css -print -quit)" ]; then
        node scripts/assets.mjs && chmod a+r public/*.css public/*.js
    fi
}

free_port() { php -r '$s = stream_socket_server("tcp://127.0.0.1:0"); echo substr(strrchr(stream_socket_get_name($s, false), ":"), 1);'; }
port_answers() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# ---- PostgreSQL: a private cluster. It refuses to run as root, so root runs it as the user postgres.
pg_bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
as_pg() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi; }

# pg_dir NAME: where a cluster lives: under var/, or beside the system's own where var/ cannot be entered by postgres.
pg_dir() {
    mkdir -p "$root/var"
    if [ "$(id -u)" = 0 ] && ! as_pg test -x "$root/var" 2>/dev/null; then
        mkdir -p "/var/lib/cobblestone-$mark" && printf '/var/lib/cobblestone-%s/%s' "$mark" "$1"
    else
        printf '%s/var/%s' "$root" "$1"
    fi
}

# Running means answering: a process that is being killed is still seen for a while.
pg_running() {
    local port
    [ -f "$1/data/postmaster.pid" ] && as_pg "$pg_bin/pg_ctl" -D "$1/data" status >/dev/null 2>&1 || return 1
    port=$(as_pg sed -n 4p "$1/data/postmaster.pid" 2>/dev/null) && [ -n "$port" ] && "$pg_bin/pg_isready" -q -t 5 -h 127.0.0.1 -p "$port"
}

# pg_up DIR: starts what is not running; what a killed server left behind is waited for.
pg_up() {
    local _
    for _ in $(seq 1 40); do
        pg_running "$1" && return 0
        pg_port=$(free_port)
        as_pg "$pg_bin/pg_ctl" -D "$1/data" -o "-p $pg_port" -l "$1/log" -w -s start >/dev/null 2>&1 && return 0
        as_pg "$pg_bin/pg_ctl" -D "$1/data" -m immediate -W -s stop >/dev/null 2>&1 || true
        sleep 0.25
    done
    as_pg tail -n 5 "$1/log" >&2
    fail "PostgreSQL did not start; its words are above"
}

# pg_secret DIR NAME: a password of this cluster, made once; only the database's own account can read the file.
pg_secret() {
    as_pg test -s "$1/$2" || head -c 18 /dev/urandom | base64 | tr '+/' '-_' | as_pg sh -c 'umask 077; cat >"$1"' sh "$1/$2"
    as_pg cat "$1/$2"
}

# pg_roles DIR DATABASE...: the owner makes tables, the application only works in them; neither is a superuser.
pg_roles() {
    local dir=$1 database; shift
    pg_owner_password=$(pg_secret "$dir" owner)
    pg_app_password=$(pg_secret "$dir" app)
    for database in "$@"; do
        OWNER_PASSWORD=$pg_owner_password APP_PASSWORD=$pg_app_password PGDATABASE=$database "$pg_bin/psql" -qX -v ON_ERROR_STOP=1 -f "$root/deploy/roles.sql" >/dev/null
    done
}

# pg_start DIR DURABLE(yes|no) DATABASE...: makes the cluster when it is new, starts it, leaves its port in $pg_port.
pg_start() {
    local dir=$1 durable=$2; shift 2
    pg_bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1)
    if [ ! -s "$dir/data/PG_VERSION" ]; then
        mkdir -p "$dir"
        head -c 18 /dev/urandom | base64 | tr '+/' '-_' >"$dir/password"
        if [ "$(id -u)" = 0 ]; then chown -R postgres: "$dir"; fi
        chmod 700 "$dir"
        as_pg "$pg_bin/initdb" -D "$dir/data" -U cobblestone -A scram-sha-256 --pwfile="$dir/password" -E UTF8 --locale=C.UTF-8 >/dev/null
        as_pg tee -a "$dir/data/postgresql.conf" >/dev/null <<CONF
listen_addresses = '127.0.0.1'
unix_socket_directories = ''
max_connections = 160
shared_buffers = 64MB
CONF
        # Only the cluster of the tests may forget what a power cut takes.
        [ "$durable" = yes ] || printf 'fsync = off\nfull_page_writes = off\n' | as_pg tee -a "$dir/data/postgresql.conf" >/dev/null
    fi
    # What somebody was told is on the disk before they are told: an older cluster said otherwise.
    if as_pg grep -q '^synchronous_commit' "$dir/data/postgresql.conf"; then
        as_pg sed -i '/^synchronous_commit/d' "$dir/data/postgresql.conf"
        pg_running "$dir" && as_pg "$pg_bin/pg_ctl" -D "$dir/data" -s reload
    fi
    pg_up "$dir"
    pg_port=$(as_pg sed -n 4p "$dir/data/postmaster.pid")
    export PGPASSWORD PGHOST=127.0.0.1 PGPORT=$pg_port PGUSER=cobblestone
    PGPASSWORD=$(as_pg cat "$dir/password")
    for database in "$@"; do
        "$pg_bin/psql" -d postgres -Atc "select 1 from pg_database where datname = '$database'" | grep -q 1 || "$pg_bin/createdb" "$database"
    done
    pg_roles "$dir" "$@"
}

pg_stop() { if pg_running "$1"; then as_pg "$pg_bin/pg_ctl" -D "$1/data" -m fast -w -s stop; fi; }

# ---- Servers: only processes whose command line names this checkout are ours.
run=$root/var/run
[ ${#run} -gt 80 ] && run=/tmp/cobblestone-$mark
is_ours() { [ -r "$run/$1.pid" ] && { tr '\0' ' ' <"/proc/$(cat "$run/$1.pid")/cmdline" | grep -qF -e "$run" -e "$root"; } 2>/dev/null; }
end() {
    local name=$1 pid
    is_ours "$name" || { rm -f "$run/$name.pid"; return 0; }
    pid=$(cat "$run/$name.pid")
    kill -TERM "$pid" 2>/dev/null
    for _ in $(seq 1 120); do kill -0 "$pid" 2>/dev/null || break; sleep 0.1; done
    kill -0 "$pid" 2>/dev/null && kill -KILL "$pid" 2>/dev/null
    rm -f "$run/$name.pid"
}
# end_ours: the supervisor ends what it started; the other names are those of an earlier release.
end_ours() {
    local name
    for name in supervisor queue queue-hash queue-builds shelf-watch nginx php-fpm; do end "$name" & done
    wait
}
