<?php

function lsblkOf(array ...$devices): string
{
    return (string) json_encode(['blockdevices' => $devices]);
}
