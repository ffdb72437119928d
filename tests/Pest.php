<?php

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Support\TestCase;

// Core tests know no framework and take milliseconds. Browser tests bring a whole running copy of their own.
pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');

pest()->extend(TestCase::class)->in('Browser');

function browser(): Tests\Browser\Browser
{
    return Tests\Browser\Browser::shared()->size(1280, 800);
}
