<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A file from which a system's installer takes answers instead of asking (rule I4). */
final readonly class AnswerFileProfile
{
    public const FORMATS = ['xml', 'yaml', 'json', 'ini'];

    /**
     * @param  string  $path  where the installer looks for it on its stick
     * @param  list<string>  $answers  ids of the questions of the first start that it answers
     * @param  string  $template  the file, with marks for what is worked out
     */
    public function __construct(
        public string $format,
        public string $path,
        public string $asOf,
        public array $answers,
        public string $template,
    ) {
    }

    /** @throws FieldFault where the path leads outside the stick */
    public static function read(Fields $fields): self
    {
        $path = $fields->string('path');
        if (preg_match('#^(?!.*(^|/)\.\.?(/|$))[A-Za-z0-9][A-Za-z0-9._/-]*[A-Za-z0-9]$#', $path) !== 1) {
            throw FieldFault::at($fields->path('path'), 'a path on the stick, such as answers/first.xml');
        }

        return new self(
            $fields->oneOf('format', self::FORMATS),
            $path,
            $fields->string('as_of'),
            $fields->strings('answers', FirstBootRow::IDS),
            $fields->string('template'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
