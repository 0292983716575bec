<?php

use Tests\Support\Workshop;

/** An optical image of a small tree, made by xorriso or genisoimage. @param  list<string>  $options */
function optical(Workshop $shop, string $name, array $options, array $files, string $program = 'xorriso'): string
{
    $tree = "{$shop->folder}/tree-{$name}";
    foreach ($files as $path => $bytes) {
        is_dir(dirname("{$tree}/{$path}")) || mkdir(dirname("{$tree}/{$path}"), recursive: true);
        file_put_contents("{$tree}/{$path}", $bytes);
    }
    $image = "{$shop->folder}/shelf/{$name}";
    Workshop::says(...[
        ...($program === 'xorriso' ? ['xorriso', '-as', 'mkisofs', '-quiet'] : [$program, '-quiet']),
        ...$options,
        '-o',
        $image,
        $tree,
    ]);

    return $image;
}
