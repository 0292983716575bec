<?php

declare(strict_types=1);

namespace App\Devices\Packages;

/** What lies in a package: the names of its files, and the text of its setup-information files. */
final readonly class PackageContents
{
    /**
     * @param  array<string, string>  $setupFiles  path within the package => bytes
     * @param  list<string>  $files  paths of all files within the package
     */
    public function __construct(public array $setupFiles, public array $files)
    {
    }

    /** Whether a file of that name lies beside another; names are compared as the systems do that use them. */
    public function hasBeside(string $path, string $name): bool
    {
        $folder = str_contains($path, '/') ? dirname($path).'/' : '';
        $wanted = strtolower($folder.str_replace('\\', '/', $name));
        foreach ($this->files as $file) {
            if (strtolower($file) === $wanted) {
                return true;
            }
        }

        return false;
    }
}
