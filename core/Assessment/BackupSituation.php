<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

/** What presses while a copy is made. */
final readonly class BackupSituation
{
    /**
     * @param  bool  $rescue  whether the drive is failing, so that its data is rescued before anything else
     * @param  bool  $staysOn  whether the present system is worked on and so is not shut down for good
     * @param  string|null  $checksums  the command by which the old system writes checksums; null: not known
     */
    public function __construct(public bool $rescue, public bool $staysOn, public ?string $checksums = null)
    {
    }
}
