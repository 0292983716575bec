<?php

declare(strict_types=1);

namespace Cobblestone\Runbook\Kind;

/** What is the same for every job of a kind (rule J1): what it asks for, what it keeps, what its sheet says. */
abstract readonly class KindOfJob
{
    /** As people call it. */
    abstract public function title(): string;

    /** The first sentence of the owner's sheet: what it is, and what it was here for. */
    abstract public function intro(SheetFacts $facts): string;

    /** Whether the job is about a system and an image from the shelf. */
    public function wantsImage(): bool
    {
        return true;
    }

    /** Whether a system has to be named at all. */
    public function wantsSystem(): bool
    {
        return true;
    }

    /** Whether the system that the job names is the one that is on the machine. */
    public function mendsPresent(): bool
    {
        return false;
    }

    /** Whether the present system stays on its drive. */
    public function keepsSystem(): bool
    {
        return false;
    }

    /** Whether a machine stands on the bench; else the job ends with a stick on the shelf. */
    public function hasMachine(): bool
    {
        return true;
    }

    /** Whether the system goes onto a drive that this job fits, and the old one stays whole. */
    public function fitsDrive(): bool
    {
        return false;
    }

    /** Whether nothing has ever started from the machine's drives. */
    public function isNewBuild(): bool
    {
        return false;
    }

    /** Whether a recovery of the maker's stands on the drive and is started. */
    public function startsRecovery(): bool
    {
        return false;
    }

    /** Whether the firmware is what the job is about. */
    public function updatesFirmware(): bool
    {
        return false;
    }

    /** What an image is taken for that nobody has described; null where that has to be asked. */
    public function imageKind(): ?string
    {
        return null;
    }
}
