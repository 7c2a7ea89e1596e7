<?php

declare(strict_types=1);

namespace App\MyData;

/** What was drawn on a scratch pad, as a picture that any browser opens. */
final class Drawing
{
    /** @param  list<string>  $strokes  each of its points, such as "12,30 13,34" */
    public static function svg(array $strokes): string
    {
        $paths = array_map(
            fn (string $stroke): string => '<polyline points="'.htmlspecialchars($stroke, ENT_QUOTES | ENT_XML1).'"/>',
            $strokes,
        );

        return '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1200" fill="none" stroke="black" '.
            'stroke-width="4" stroke-linecap="round">'.implode('', $paths).'</svg>';
    }
}
