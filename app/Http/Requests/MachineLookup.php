<?php

namespace App\Http\Requests;

use Cobblestone\Brief\BriefFault;
use Cobblestone\Machine\Model\MachineModel;

/** Finds the one model that all typed words fit; several or none is an error that says which. */
final class MachineLookup
{
    /**
     * @param  array<string, MachineModel>  $machines
     * @return string the model's identifier
     *
     * @throws BriefFault
     */
    public static function find(string $typed, array $machines): string
    {
        if (isset($machines[$typed])) {
            return $typed;
        }
        $found = [];
        foreach ($machines as $id => $machine) {
            $name = mb_strtolower($machine->title());
            if ($name === mb_strtolower($typed) || mb_strtolower($machine->name) === mb_strtolower($typed)) {
                return (string) $id;
            }
            if (
                array_filter(self::words($typed), static fn (string $word): bool => ! str_contains($name, $word)) === []
            ) {
                $found[$id] = $machine->title();
            }
        }
        if (count($found) === 1) {
            return (string) array_key_first($found);
        }
        $shown = mb_substr($typed, 0, 60);
        throw BriefFault::at(
            'machine',
            $found === []
                ? "no model fits \"{$shown}\". Look it up in the Catalogue, or type \"laptop\", \"desktop\" or "
                    .'"handheld" and go on without.'
                : "\"{$shown}\" fits ".
                    implode(' and ', $found).
                    '. Type a word more: a sibling with another suffix is another machine.',
        );
    }

    /** @return list<string> */
    private static function words(string $typed): array
    {
        return preg_split('/\s+/', mb_strtolower($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
