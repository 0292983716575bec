<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;

/** The hard floors of a system against what is known of the machine; what is unknown is not held against it (rule A2). */
final class Fitness
{
    /** @return list<string> one sentence for each floor that is missed */
    public static function blockers(Machine $machine, SystemProfile $system, Image $image, ?Drive $target): array
    {
        $blockers = [];
        $architecture = $machine->fact('architecture');
        if (! $architecture->isUnknown() && $image->architecture() !== null && ! $architecture->is($image->architecture())) {
            $blockers[] = "{$image->name} is made for {$image->architecture()}, this machine is {$architecture->spoken()} ({$architecture->origin}). Choose an image for {$architecture->spoken()}.";
        }
        $floor = $system->entry['needs'] ?? [];
        $memory = $machine->fact('memory_bytes');
        if (is_int($memory->value) && $memory->value < ($floor['memory_bytes'] ?? 0)) {
            $blockers[] = "{$system->name} needs ".Bytes::of($floor['memory_bytes'])->binary().' of memory, this machine has '.Bytes::of($memory->value)->binary().'. Choose a lighter system or fit more memory.';
        }
        if ($target !== null && $target->size->count < ($floor['drive_bytes'] ?? 0)) {
            $blockers[] = "{$system->name} needs a drive of ".Bytes::of($floor['drive_bytes'])->decimal().", this one has {$target->size->decimal()}.";
        }
        if ($system->bootMode() === 'uefi' && $machine->fact('firmware.kind')->is('bios')) {
            $blockers[] = "{$system->name} starts only by UEFI, and this machine has none.";
        }

        return $blockers;
    }
}
