<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Cache\FileStore;
use Throwable;

/** Keeps in files how often somebody asked. On a full disk nothing is counted, and everybody is served. */
final class CountsInFiles extends FileStore
{
    public function put($key, $value, $seconds): bool
    {
        return $this->orNot(fn (): bool => parent::put($key, $value, $seconds));
    }

    public function add($key, $value, $seconds): bool
    {
        return $this->orNot(fn (): bool => parent::add($key, $value, $seconds));
    }

    public function forget($key): bool
    {
        return $this->orNot(fn (): bool => parent::forget($key));
    }

    /** @param  \Closure(): bool  $write */
    private function orNot(\Closure $write): bool
    {
        try {
            return $write();
        } catch (Throwable) {
            return false;
        }
    }
}
