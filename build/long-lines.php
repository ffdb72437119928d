<?php

// Names every line that runs past the margin, and fails where there is one. Usage: php build/long-lines.php FILE ...

$long = 0;
foreach (array_slice($argv, 1) as $file) {
    $margin = str_ends_with($file, '.blade.php') ? 140 : 120;
    foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $n => $line) {
        if (mb_strlen($line) > $margin) {
            $long++;
            printf("%s:%d is %d columns wide, of %d\n", $file, $n + 1, mb_strlen($line), $margin);
        }
    }
}
exit($long > 0 ? 1 : 0);
