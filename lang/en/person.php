<?php

return [
    'renew_links' => 'Replace all links',
    'links_renewed' => 'All links sent to :name have stopped working. New ones are created when they are next needed.',
    'clock' => ':place time, now :time',
    'disabled' => 'disabled since :day',
    'disable' => 'Disable',
    'enable' => 'Enable again',
    'coming' => 'Upcoming sessions, on :name’s clock',
    'none' => 'None.',
    'sections' => 'Sections',
    'no_section' => 'None this term.',
    'calendar' => 'Calendar',
    'busy' => ':count busy time in their own calendar|:count busy times in their own calendar',
    'post' => 'Your emails',
    'feed_hint' => 'Your calendar at a secret link, with your own join links. Do not share it.',
    'renew' => 'Replace the link',
];
