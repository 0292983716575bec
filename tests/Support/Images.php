<?php

namespace Tests\Support;

use Cobblestone\Media\Inspection\FileTree;
use Cobblestone\Media\Inspection\InspectionTools;
use Cobblestone\Media\Inspection\ListedFiles;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\StringSource;

/**
 * Small images and loaders that real tools made (tests/fixtures/images/make.php), and tools that answer from memory.
 */
final class Images
{
    public static function bytes(string $name): string
    {
        $path = Demo::root()."/tests/fixtures/images/{$name}";

        return is_file("{$path}.gz")
            ? (string) gzdecode((string) file_get_contents("{$path}.gz"))
            : (string) file_get_contents($path);
    }

    public static function source(string $name): StringSource
    {
        return new StringSource(self::bytes($name));
    }

    /**
     * @param  array<string, string>  $files  the tree: path => bytes
     * @param  array<string, list<string>>  $chains  certificate => loaders whose chain ends in it
     */
    public static function tools(
        array $files = [],
        ?string $head = null,
        array $chains = [],
        ?string &$asked = null,
    ): InspectionTools {
        $signatures = new class($chains) implements SignatureTool
        {
            public function certificates(string $loader): array
            {
                return [];
            }

            /** @param  array<string, list<string>>  $chains */
            public function __construct(private array $chains)
            {
            }

            public function signers(string $loader): array
            {
                return ['somebody'];
            }

            public function chainsTo(string $loader, string $certificate): bool
            {
                return in_array($loader, $this->chains[$certificate] ?? [], true);
            }
        };

        return new class($files, $head, $signatures, $asked) implements InspectionTools
        {
            /** @param  array<string, string>  $files */
            public function __construct(
                private array $files,
                private ?string $head,
                private SignatureTool $signatures,
                private ?string &$asked,
            ) {
            }

            public function tree(string $kind): ?FileTree
            {
                $this->asked = $kind;

                return $this->files === []
                    ? null
                    : new class($this->files) implements FileTree
                    {
                        /** @param  array<string, string>  $files */
                        public function __construct(private array $files)
                        {
                        }

                        public function entries(): iterable
                        {
                            return (new ListedFiles(
                                array_map(
                                    fn ($path, $bytes) => [
                                        'path' => $path,
                                        'bytes' => strlen($bytes),
                                        'directory' => str_ends_with($path, '/'),
                                    ],
                                    array_keys($this->files),
                                    $this->files,
                                ),
                            ))->entries();
                        }

                        public function read(string $path, int $limit): ?string
                        {
                            return isset($this->files[$path]) ? substr($this->files[$path], 0, $limit) : null;
                        }
                    };
            }

            public function expandHead(string $compression, int $limit): ?ByteSource
            {
                return $this->head === null ? null : new StringSource(substr($this->head, 0, $limit));
            }

            public function signatures(): SignatureTool
            {
                return $this->signatures;
            }
        };
    }
}
