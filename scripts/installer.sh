#!/bin/sh
# Builds the stand-in installer's program from its source; wants gcc, ld and xxd. The result is kept in the repository,
# as hexadecimal text.
set -eu
cd "$(dirname "$0")/../database/demo/installer"
object=$(mktemp)
program=$(mktemp)
trap 'rm -f "$object" "$program"' EXIT
gcc -Os -ffreestanding -fno-stack-protector -fpie -fno-asynchronous-unwind-tables -fcf-protection=none -fno-builtin \
    -fno-tree-loop-distribute-patterns -mno-red-zone -mgeneral-regs-only -ffunction-sections -Wall -Wextra -Werror \
    -c installer.c -o "$object"
ld -pie --no-dynamic-linker -z norelro -z noseparate-code -T link.ld -e start --oformat binary "$object" \
    -o "$program"
xxd -p -c 32 "$program" >installer.hex
