<?php

declare(strict_types=1);

namespace App\Media;

use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Serves pictures, sounds and films to whoever is signed in. */
final class MediaController
{
    public function show(string $name): BinaryFileResponse
    {
        $type = Shelf::TYPES[pathinfo($name, PATHINFO_EXTENSION)] ?? null;
        if (
            $type === null ||
            ! DB::table('media')->where('name', $name)->exists() ||
            ! is_file(MediaStore::path($name))
        ) {
            abort(404);
        }
        $response = new BinaryFileResponse(
            MediaStore::path($name),
            headers: [
                'Content-Type' => $type,
                // A drawing brings its own styles, and may do nothing else.
                'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; sandbox",
                'Cross-Origin-Resource-Policy' => 'same-origin',
            ],
        );
        // Named by its contents, it never changes.
        $response->setPrivate()->setMaxAge(31_536_000)->setImmutable();

        return $response;
    }
}
