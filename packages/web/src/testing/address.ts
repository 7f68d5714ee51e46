/** Stands for the address of a file where there is no bundler. */
export default '/assets/file';
