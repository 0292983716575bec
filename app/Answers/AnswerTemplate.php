<?php

declare(strict_types=1);

namespace App\Answers;

use Twig\Environment;
use Twig\Error\Error;
use Twig\Extension\SandboxExtension;
use Twig\Loader\ArrayLoader;
use Twig\Runtime\EscaperRuntime;
use Twig\Sandbox\SecurityPolicy;

/**
 * Fills an answer file's template in, in a sandbox: it may write values and leave lines out, and nothing else. It
 * knows no loop, no file, no function, and of the job only what is given to it (rule I4).
 */
final readonly class AnswerTemplate
{
    private const TAGS = ['if'];

    private const FILTERS = ['upper', 'lower', 'join', 'default', 'escape', 'e'];

    /** What stands around a value in the text that is shown; signs that no file has. */
    public const MARKS = ["\u{F8F0}", "\u{F8F1}"];

    /** Bytes of a file; the longest template has as many. */
    private const LONGEST = 262_144;

    /** @param  string  $format  xml, yaml, json or ini */
    public function __construct(private string $template, private string $format)
    {
    }

    /**
     * @param  array<array-key, mixed>  $values  name => text, or a list of texts
     * @return string the file
     *
     * @throws AnswerFault
     */
    public function fill(array $values): string
    {
        $text = $this->render($values, ['', '']);
        AnswerFormat::check($text, $this->format);

        return $text;
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @return string the file with a mark before and after each value
     *
     * @throws AnswerFault
     */
    public function marked(array $values): string
    {
        return $this->render($values, self::MARKS);
    }

    /**
     * @param  array<array-key, mixed>  $values
     * @param  array{string, string}  $marks
     *
     * @throws AnswerFault
     */
    private function render(array $values, array $marks): string
    {
        if (preg_match('/\.\.|\*\*/', self::inMarks($this->template)) === 1) {
            throw new AnswerFault(
                'The template counts from one number to another, or raises one to a power: it may not.',
            );
        }
        $twig = new Environment(new ArrayLoader(['answers' => self::withoutIndents($this->template)]), [
            'strict_variables' => true,
            'cache' => false,
            'autoescape' => 'answers',
        ]);
        $twig->addExtension(new SandboxExtension(new SecurityPolicy(self::TAGS, self::FILTERS), true));
        $format = $this->format;
        $twig->getRuntime(EscaperRuntime::class)->setEscaper(
            'answers',
            static fn (string $value): string => $value === ''
                ? ''
                : $marks[0].AnswerFormat::escape($value, $format).$marks[1],
        );
        try {
            $text = $twig->render('answers', $values);
        } catch (Error $e) {
            throw new AnswerFault("Template, line {$e->getTemplateLine()}: {$e->getRawMessage()}");
        }
        if (strlen($text) > self::LONGEST) {
            throw new AnswerFault('The file becomes longer than 256 KiB.');
        }

        // A line that held nothing but a tag leaves none behind.
        return rtrim((string) preg_replace('/^[ \t]*\n/m', '', $text))."\n";
    }

    /** A tag that stands alone in its line leaves nothing of the line, its indentation neither. */
    private static function withoutIndents(string $template): string
    {
        return (string) preg_replace('/^[ \t]+(\{%[^%]*%\})[ \t]*$/m', '$1', $template);
    }

    /** What stands between the marks of a template, where it computes. */
    private static function inMarks(string $template): string
    {
        preg_match_all('/\{[{%](.*?)[}%]\}/s', $template, $found);

        return implode("\n", $found[1]);
    }
}
