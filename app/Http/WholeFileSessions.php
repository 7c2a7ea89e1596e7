<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Session\FileSessionHandler;
use Throwable;

/** Sessions in files that are replaced whole: a killed server leaves the old one or the new one, never half of one. */
final class WholeFileSessions extends FileSessionHandler
{
    private const ONLY_MINE = 0600;

    public function write($sessionId, $data): bool
    {
        try {
            $this->files->replace("{$this->path}/{$sessionId}", $data, self::ONLY_MINE);
        } catch (Throwable) {
            // A full disk: whoever is signed in stays so by the session that is there, and reads on.
            return false;
        }

        return true;
    }

    /** By the way of one request in fifty: where it cannot be done, that one is answered all the same. */
    public function gc($lifetime): int
    {
        try {
            return parent::gc($lifetime);
        } catch (Throwable) {
            return 0;
        }
    }
}
