<?php

declare(strict_types=1);

namespace App\Devices\Build;

use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickTarget;

/** A stick that an exported script made on another computer, proven here: read only (rules M11, M13). */
final readonly class ElsewhereProof
{
    /**
     * @param  bool  $byContent  whether another computer's own tools laid it out, so that only contents can be equal
     * @param  bool  $isFile  a file in place of a stick, which has no serial
     */
    public function __construct(
        private StickPlan $plan,
        private StickDevice $stick,
        private SourceFiles $source,
        private bool $byContent,
        private bool $isFile = false,
    ) {
    }

    /** Why nothing but size and contents can be held against the plan; null where the serial can. */
    public function withoutSerial(): ?string
    {
        return $this->isFile && $this->plan->serial !== null
            ? 'A file reports no serial: it is proven by size and contents alone.'
            : null;
    }

    /** @throws BuildFailure where it is another stick, or not what was planned */
    public function prove(BuildProgress $progress): StickProof
    {
        $target = $this->stick->target();
        $serial = $this->isFile ? $this->plan->serial : $target->serial;
        $differences = (new StickTarget($target->bytes, $target->sector, $serial))->differencesFrom($this->plan);
        if ($differences !== []) {
            throw BuildFailure::of(
                'identity',
                'This is not the stick the plan was made for. '.implode(' ', $differences),
            );
        }
        $this->stick->settle();

        return (new StickProof($this->plan, $this->stick, $this->source, $progress, $this->byContent))->prove();
    }
}
