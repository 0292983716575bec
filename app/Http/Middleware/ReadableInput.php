<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/**
 * What comes in is text in UTF-8, and lists only where a form has lists. Anything else ends here:
 * an address that cannot be is not there, a field that cannot be is named. Behind this, text is text.
 */
final class ReadableInput
{
    /** Fields whose form sends several values: field => deepest level. */
    private const LISTS = [
        'accepted' => 2,
        'evidence' => 2,
        'facts' => 1,
        'files' => 1,
        'placed' => 1,
        'settings' => 1,
        'stays' => 1,
    ];

    public function handle(Request $request, Closure $next): Response
    {
        foreach ([rawurldecode($request->getPathInfo()), ...self::flat($request->query->all())] as $text) {
            abort_unless(self::isText($text), 404);
        }
        foreach ($request->query->all() as $value) {
            abort_if(is_array($value), 404);
        }
        foreach ($request->isMethod('POST') ? $request->request->all() : [] as $field => $value) {
            $this->field((string) $field, $value);
        }

        return $next($request);
    }

    private function field(string $field, mixed $value): void
    {
        $shown = self::isText($field) ? mb_substr($field, 0, 60) : 'form';
        if (is_array($value) && (! isset(self::LISTS[$field]) || self::depth($value) > self::LISTS[$field])) {
            throw ValidationException::withMessages([
                $shown => 'One text is wanted here, not a list. Nothing was stored.',
            ]);
        }
        foreach (is_array($value) ? self::flat($value) : [$field, (string) $value] as $text) {
            if (! self::isText($text)) {
                request()->request->remove($field);
                throw ValidationException::withMessages([
                    $shown => 'There are signs in this that are no text in UTF-8. Nothing was stored; type it again.',
                ]);
            }
        }
    }

    private static function isText(string $text): bool
    {
        return ! str_contains($text, "\0") && mb_check_encoding($text, 'UTF-8');
    }

    /** @param  array<mixed>  $values */
    private static function depth(array $values): int
    {
        $deepest = 0;
        foreach ($values as $value) {
            $deepest = max($deepest, is_array($value) ? self::depth($value) : 0);
        }

        return $deepest + 1;
    }

    /**
     * @param  array<mixed>  $values
     * @return list<string> all keys and values
     */
    private static function flat(array $values): array
    {
        $texts = [];
        array_walk_recursive($values, static function (mixed $value, mixed $key) use (&$texts): void {
            array_push($texts, (string) $key, is_scalar($value) ? (string) $value : '');
        });

        return $texts;
    }
}
