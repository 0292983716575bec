<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Answers\AnswerFault;
use App\Answers\AnswerTemplate;
use App\Catalogue\CatalogueStore;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\Plan;

/** The answer file of a job, made from its path and the template that the catalogue has now. */
final readonly class JobAnswers
{
    private function __construct(
        public string $path,
        public string $format,
        public string $text,
        public string $marked,
        public string $asOf,
    ) {
    }

    /**
     * @return self|null null where this path has no answer file
     *
     * @throws AnswerFault
     */
    public static function of(Plan $plan, CatalogueStore $store): ?self
    {
        $found = Findings::of($plan)->answers;
        if ($found === null) {
            return null;
        }
        try {
            $profile = $store->catalogue()->system($found->system)->answerFile;
        } catch (UnknownEntry) {
            $profile = null;
        }
        if ($profile === null) {
            throw new AnswerFault('The catalogue has no template for this system any more. Compute the path again.');
        }
        $template = new AnswerTemplate($profile->template, $profile->format);

        return new self(
            $profile->path,
            $profile->format,
            $template->fill($found->values),
            $template->marked($found->values),
            $profile->asOf,
        );
    }

    public function sha256(): string
    {
        return hash('sha256', $this->text);
    }

    /** @return list<array{string, bool}> pieces of the file, each with whether it was worked out for this job */
    public function pieces(): array
    {
        [$open, $close] = AnswerTemplate::MARKS;
        $worked = "/({$open}[^{$close}]*{$close})/u";
        $pieces = [];
        $cut = preg_split($worked, $this->marked, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ($cut as $piece) {
            $pieces[] = [str_replace([$open, $close], '', $piece), str_starts_with($piece, $open)];
        }

        return $pieces;
    }
}
