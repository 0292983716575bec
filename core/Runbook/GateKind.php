<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Which word a shut gate is shown with (rule K1). */
enum GateKind: string
{
    case Stop = 'stop';
    case Hold = 'hold';
    case Answer = 'answer';
    /** A stone on the path opens it in its turn. */
    case Proof = 'proof';

    public function word(): string
    {
        return match ($this) {
            self::Stop => 'stop',
            self::Hold, self::Proof => 'hold',
            self::Answer => 'needs an answer',
        };
    }
}
