<?php

/** Sector 0 with that code, and entries of a table: [active, type, first, count]. */
function sectorZero(string $code, array $entries = [], string $mark = "\x55\xAA"): string
{
    $table = '';
    foreach ($entries as [$active, $type, $first, $count]) {
        $table .= chr($active ? 0x80 : 0)."\0\0\0".chr($type)."\0\0\0".pack('VV', $first, $count);
    }

    return str_pad($code, 446, "\0").str_pad($table, 64, "\0").$mark;
}
