<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\JobAnswers;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Illuminate\Support\HtmlString;

/** The first start of a job's system: what is asked, what is answered, and the file that says it by itself. */
final readonly class AnswersPage
{
    /** The stone at which the list is read from. */
    private const LIST = 'first-boot.answers';

    /** @param  string  $fault  why there is no file although the path has one; empty where all is well */
    public function __construct(private Plan $plan, public ?JobAnswers $file, public string $fault)
    {
    }

    /** @return list<array<string, string>> */
    public function rows(): array
    {
        return $this->plan->step(self::LIST)->rows ?? [];
    }

    public function listStone(): string
    {
        return self::LIST;
    }

    /** The one for these answers: an earlier one may stand before it, laid with others. */
    public function fileStone(): string
    {
        $stone = AnswerFile::STEP;
        foreach ($this->plan->steps as $step) {
            $stone = str_starts_with($step->id, AnswerFile::STEP) ? $step->id : $stone;
        }

        return $stone;
    }

    public function decision(): ?Decision
    {
        return $this->plan->decision('install.answers');
    }

    /** The file as it is, with what was worked out for this job marked. */
    public function text(): HtmlString
    {
        return new HtmlString(implode('', array_map(
            static fn (array $piece): string => $piece[1] ? '<mark>'.e($piece[0]).'</mark>' : e($piece[0]),
            $this->file?->pieces() ?? [],
        )));
    }

    /** "428 bytes" */
    public function measure(): string
    {
        return $this->file === null ? '' : strlen($this->file->text).' bytes';
    }
}
