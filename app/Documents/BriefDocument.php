<?php

namespace App\Documents;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;

/** A brief as YAML text: limits, schema, then the core's own reading. */
final class BriefDocument
{
    /**
     * @return array<string, mixed>
     *
     * @throws DocumentFault
     */
    public static function parse(string $text, string $name): array
    {
        return self::check(YamlDocument::parse($text, $name), $name);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentFault
     */
    public static function fromFile(string $path): array
    {
        return self::check(YamlDocument::fromFile($path), $path);
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     *
     * @throws DocumentFault
     */
    public static function check(array $data, string $name): array
    {
        $faults = SchemaCheck::faults($data, base_path('docs/guide/schema/brief.schema.json'));
        if ($faults !== []) {
            throw DocumentFault::of(array_map(fn (string $fault): string => "{$name}: {$fault}", $faults));
        }
        try {
            Brief::fromArray($data);
        } catch (BriefFault $e) {
            throw DocumentFault::of(["{$name}: {$e->getMessage()}"]);
        }

        return $data;
    }

    /**
     * The brief with a drive that was chosen by its path named by what it is (rule K2).
     *
     * @param  array<string, mixed>  $data  a brief that was checked
     * @return array<string, mixed>
     */
    public static function withFixedChoice(array $data): array
    {
        $facts = Brief::fromArray($data)->machine->facts;
        if ($facts !== [] && is_array($data['machine'] ?? null)) {
            $data['machine']['facts'] = $facts;
        }

        return $data;
    }
}
