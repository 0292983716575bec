<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** What opens a shut stone (rule K1). */
enum OpensBy: string
{
    case Answer = 'answer';
    /** Something that was said or chosen, said or chosen otherwise. */
    case Choice = 'choice';
    /** A page of the job of its own. */
    case Page = 'page';
    case Reading = 'reading';
    case Step = 'step';
    case Waiver = 'waiver';
    case Nothing = 'nothing';

    /** What somebody does about it, for the stone it shuts. */
    public function spoken(): string
    {
        return match ($this) {
            self::Answer => 'An answer opens it.',
            self::Choice => 'Another choice at *Intake* opens it.',
            self::Page => 'A page of this job opens it.',
            self::Reading => 'Another reading opens it.',
            self::Step => 'The stone before it opens it.',
            self::Waiver => 'A written waiver opens it.',
            self::Nothing => 'Nothing opens it on this job.',
        };
    }
}
