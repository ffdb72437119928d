<?php

return [
    'renew_links' => 'Renew all links',
    'links_renewed' => 'Every link and secret address that :name was sent has ended. New ones are made when they are '
        .'next needed.',
    'clock' => ':place time, now :time',
    'disabled' => 'disabled since :day',
    'disable' => 'Disable',
    'enable' => 'Enable again',
    'coming' => 'Coming sessions, on :name\'s clock',
    'none' => 'None.',
    'sections' => 'Sections',
    'no_section' => 'None this term.',
    'calendar' => 'Calendar',
    'busy' => ':count busy time of their own|:count busy times of their own',
    'post' => 'Your post',
    'feed_hint' => 'Your calendar at a secret address, with your own links: keep it to yourself.',
    'renew' => 'Give it a new address',
];
